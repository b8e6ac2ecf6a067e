<?php

declare(strict_types=1);

namespace Gorvan\Core\Cue;

/** How much of its cues a step still has: a class is cued less and less (*practice*). */
enum CueFading: string
{
    case All = 'all';
    case KeyWords = 'key_words';
    case FirstWord = 'first_word';
    case None = 'none';

    /** Words that carry a sentence and not the movement; what is left without them are the key words. */
    private const CARRYING = [
        'a', 'an', 'the', 'and', 'then', 'of', 'to', 'from', 'with', 'in', 'into', 'on', 'onto', 'at', 'as', 'by', 'for', 'it', 'its', 'is', 'are',
        'your', 'you', 'their', 'that', 'this', 'while', 'so', 'until', 'before', 'after', 'let', 'be', 'both', 'all', 'very', 'just',
    ];

    /**
     * What is left of a cue, or null where nothing is. Where a teacher put words between asterisks, those are the key words;
     * else what is left without the words that only carry the sentence. `{L}` and `{R}` are words. Pure.
     */
    public function left(string $cue): ?string
    {
        $marked = preg_match_all('/\*([^*]+)\*/u', $cue, $found) > 0 ? $found[1] : null;
        $plain = trim(str_replace('*', '', $cue));
        $words = preg_split('/\s+/u', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $kept = match ($this) {
            self::All => $plain,
            self::KeyWords => $marked !== null ? implode(' … ', $marked) : implode(' ', array_filter($words, static fn (string $word): bool => ! in_array(mb_strtolower(trim($word, '.,;:!?()')), self::CARRYING, true))),
            self::FirstWord => $words[0] ?? '',
            self::None => '',
        };
        $kept = rtrim($kept, $this === self::All ? '' : ' ,;:.');

        return $kept === '' ? null : $kept;
    }

    /**
     * @param  list<string>  $cues
     * @return list<string> what is left of each
     */
    public function of(array $cues): array
    {
        return array_values(array_filter(array_map($this->left(...), $cues), static fn (?string $cue): bool => $cue !== null));
    }
}
