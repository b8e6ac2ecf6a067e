<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepLetter;
use App\Actions\ReadTermEnd;
use App\Actions\SendLetters;
use App\Http\Data\LetterData;
use App\Http\Data\LetterWordsData;
use App\Http\Data\TermEndData;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\CurrentSchool;
use App\Models\Letter;
use App\Models\School;
use App\Models\Term;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The end of a term: what it came to, and the letters about it. */
final class LetterController extends Controller
{
    /** What a letter can say, each with a sentence of the school's own. */
    public const SENTENCES = ['greeting', 'holds', 'holdsNone', 'nearly', 'open', 'missed', 'keep', 'principle', 'carry', 'next', 'numbers', 'came', 'ending', 'signature'];

    private const MOST_TEXT = 8000;

    private const MOST_VERSIONS = 1_000_000;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Reads('/api/terms/{term}/end', 'termEnd', 'What a term came to, for each student and the group, and the letters', TermEndData::class)]
    public function show(Term $term, ReadTermEnd $read): JsonResponse
    {
        return new JsonResponse(TermEndData::of($term, $read($term), $this->school));
    }

    #[Puts('/api/terms/{term}/letters', 'keepLetter', 'Kept', LetterData::class, takes: ['id' => 'string', 'student' => 'string|null', 'text' => 'string', 'version' => 'integer'], mayConflict: true)]
    public function keep(Request $request, Term $term, KeepLetter $keep): JsonResponse
    {
        $given = $request->validate([
            'id' => ['required', 'uuid'],
            'student' => ['present', 'nullable', 'uuid'],
            'text' => ['required', 'string', 'max:'.self::MOST_TEXT],
            'version' => ['required', 'integer', 'min:0', 'max:'.self::MOST_VERSIONS],
        ]);

        return new JsonResponse(LetterData::of($keep($term, $given['id'], $given['student'], $given['text'], (int) $given['version']), $this->school->zone()));
    }

    #[Makes('/api/terms/{term}/letters/sending', 'sendLetters', 'As they are now: one that could not go has no time of sending', [LetterData::class], takes: ['letters' => ['string']])]
    public function send(Request $request, Term $term, SendLetters $send): JsonResponse
    {
        $given = $request->validate(['letters' => ['required', 'array', 'min:1', 'max:500'], 'letters.*' => ['uuid', 'distinct']]);

        return new JsonResponse(array_map(fn (Letter $one): LetterData => LetterData::of($one, $this->school->zone()), $send($term, array_values($given['letters']))));
    }

    #[Removes('/api/letters/{letter}', 'removeLetter', 'Not written')]
    public function destroy(Letter $letter): Response
    {
        $letter->delete();

        return response()->noContent();
    }

    #[Puts('/api/school/letter-words', 'keepLetterWords', 'Kept', LetterWordsData::class, takes: ['words' => ['*' => 'string'], 'numbers' => 'boolean', 'was?' => ['words' => ['*' => 'string'], 'numbers' => 'boolean']], mayConflict: true)]
    public function words(Request $request): JsonResponse
    {
        $given = $request->validate(['words' => ['present', 'array:'.implode(',', self::SENTENCES)], 'words.*' => ['string', 'max:1000'], 'numbers' => ['required', 'boolean']]);
        $school = School::lockForUpdate()->findOrFail($this->school->id());
        $is = LetterWordsData::of($school);
        self::unlessChanged($request->input('was'), ['words' => $is->words, 'numbers' => $is->hasNumbers], ['words' => (object) $given['words'], 'numbers' => (bool) $given['numbers']]);
        $school->update(['letter_words' => json_encode(['words' => (object) $given['words'], 'numbers' => (bool) $given['numbers']], JSON_THROW_ON_ERROR)]);

        return new JsonResponse(LetterWordsData::of($school));
    }
}
