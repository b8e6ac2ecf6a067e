<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepLetter;
use App\Actions\ReadTermEnd;
use App\Actions\SendLetters;
use App\Http\Data\LetterData;
use App\Http\Data\LetterWordsData;
use App\Http\Data\TermEndData;
use App\Letters\Requests\LettersToSend;
use App\Letters\Requests\LetterText;
use App\Letters\Requests\LetterWords;
use App\Models\CurrentSchool;
use App\Models\Letter;
use App\Models\School;
use App\Models\Term;
use App\Shared\Description\Operation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The end of a term: what it came to, and the letters about it. */
final class LetterController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('termEnd', 'What a term came to, for each student and the group, and the letters', TermEndData::class)]
    public function show(Term $term, ReadTermEnd $read): JsonResponse
    {
        return new JsonResponse(TermEndData::of($term, $read($term), $this->school));
    }

    #[Operation('keepLetter', 'Kept', LetterData::class, mayConflict: true)]
    public function keep(LetterText $sent, Term $term, KeepLetter $keep): JsonResponse
    {
        return new JsonResponse(LetterData::of($keep($term, $sent->id, $sent->student, $sent->text, $sent->version), $this->school->zone()));
    }

    #[Operation('sendLetters', 'As they are now: one that could not go has no time of sending', [LetterData::class])]
    public function send(LettersToSend $sent, Term $term, SendLetters $send): JsonResponse
    {
        return new JsonResponse(array_map(fn (Letter $one): LetterData => LetterData::of($one, $this->school->zone()), $send($term, $sent->letters)));
    }

    #[Operation('removeLetter', 'Not written')]
    public function destroy(Letter $letter): Response
    {
        $letter->delete();

        return response()->noContent();
    }

    #[Operation('keepLetterWords', 'Kept', LetterWordsData::class, mayConflict: true)]
    public function words(LetterWords $sent): JsonResponse
    {
        $school = School::lockForUpdate()->findOrFail($this->school->id());
        $is = LetterWordsData::of($school);
        $wanted = ['words' => (object) $sent->words, 'numbers' => $sent->numbers];
        self::unlessChanged($sent->was, ['words' => $is->words, 'numbers' => $is->hasNumbers], $wanted);
        $school->update(['letter_words' => json_encode($wanted, JSON_THROW_ON_ERROR)]);

        return new JsonResponse(LetterWordsData::of($school));
    }
}
