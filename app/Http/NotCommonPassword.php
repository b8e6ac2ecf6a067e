<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Refuses passwords that are guessed first: those of the list that ships (database/passwords/commonest.txt, from memory),
 * also with figures or signs around them, said twice, or with letters changed for figures that look like them.
 */
final class NotCommonPassword implements ValidationRule
{
    private const LOOKALIKES = ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i'];

    private const AROUND = '0123456789 !?.,;:-_*#+@$%&/()=';

    /** Fewer different characters than a password that somebody made up. */
    private const FEWEST = 5;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && self::isCommon($value)) {
            $fail('common_password');
        }
    }

    public static function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);
        if (count(array_unique(mb_str_split($plain))) < self::FEWEST || self::isRow($plain)) {
            return true;
        }
        $common = array_flip(explode("\n", trim((string) file_get_contents(database_path('passwords/commonest.txt')))));
        foreach ([$plain, strtr($plain, self::LOOKALIKES), strtr(trim($plain, self::AROUND), self::LOOKALIKES)] as $word) {
            foreach ([$word, trim($word, self::AROUND), preg_replace('/[^\p{L}]+/u', '', $word)] as $stem) {
                $stem = (string) preg_replace('/^(.+)\1+$/u', '$1', (string) $stem);
                if ($stem === '' || isset($common[$stem])) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Keys that lie side by side, or figures and letters in their order, forwards or backwards. */
    private static function isRow(string $text): bool
    {
        foreach (['01234567890123456789', 'abcdefghijklmnopqrstuvwxyzabcdefghijkl', 'qwertyuiopasdfghjklzxcvbnm', '1qaz2wsx3edc4rfv5tgb6yhn7ujm', 'qwertzuiopasdfghjklyxcvbnm'] as $row) {
            if (str_contains($row, $text) || str_contains(strrev($row), $text)) {
                return true;
            }
        }

        return false;
    }
}
