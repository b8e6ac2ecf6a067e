<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\File;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\EntryKind;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\KinshipReader;
use Gorvan\Core\Form\Repetition;
use Gorvan\Core\Form\RepetitionKind;
use Gorvan\Core\Form\Section;
use Gorvan\Core\Form\Side;
use Gorvan\Core\Form\TitleSide;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\Missing;
use Gorvan\Core\Reading\SeveralProblems;
use Gorvan\Core\Reading\TooMany;
use Gorvan\Core\Reading\Unreadable;

/**
 * Reads the plain list, a line an entry (docs/formats/plain-list.md), and says what it inferred.
 */
final class PlainListReader
{
    public const MAX_BYTES = 524_288;

    private const LONGEST_LINE = 300;

    /** The fields of an entry that a list can say. */
    public const CARRIES = ['number', 'title', 'side', 'repetition'];

    private const OPENINGS = ['commencing', 'opening', 'beginning', 'preparation', '起势', '预备势'];

    private const CLOSINGS = ['closing', 'conclusion', '收势'];

    /** `12.` `12)` `12 -` `12:` at the start of a line, in either width. */
    private const NUMBER = '(\d{1,4})\s*(?:[.):：、．）]|-(?=\s))';

    /** What begins a line in a list without numbers. */
    private const BULLET = '/^[-–—•·▪◦‣●*]\s+(?=\S)/u';

    /** How often, said after a title without a bracket: `x3` `3x` `3 times` `7x7`. */
    private const OFTEN = '/^(.*\p{L}.*?)[\s,]+((?:[x×]\s*\d{1,3}|\d{1,3}\s*(?:[x×]\s*\d{1,3}|[x×]|times)))$/iu';

    /** One side, then the other. */
    private const ALTERNATING = ['alternating', 'alternate', 'alternately', 'alt'];

    /**
     * @param  string  $fallbackTitle  the title when the first line gives none
     *
     * @throws BadInput when the list is empty, too long, not UTF-8, or has more entries than a form may have
     */
    public function read(string $text, string $fallbackTitle = 'Untitled form'): ReadForm
    {
        $lines = self::lines($text);
        $title = trim($fallbackTitle) === '' ? 'Untitled form' : trim($fallbackTitle);
        $entries = $sections = $warnings = $places = [];
        $open = null; // [title, first position, line number]
        $isFirst = true;
        foreach ($lines as $number => $line) {
            if ($isFirst && preg_match('/^#\s*(\S.*)$/u', $line, $m) === 1) {
                $title = $m[1];
                $isFirst = false;

                continue;
            }
            $isFirst = false;
            $line = self::plain($line);
            if (self::opensSection($line)) {
                self::close($open, count($entries), $sections, $warnings);
                $open = [trim(mb_substr($line, 0, -1)), count($entries) + 1, $number];

                continue;
            }
            $entry = self::entry($line, count($entries) + 1);
            if ($entry === null) {
                $warnings[] = Message::of('reading.not_understood', line: $number, text: mb_strimwidth($line, 0, 80, '…'));
                $entry = new Entry(self::id(count($entries) + 1), EntryKind::Movement, $line);
            }
            $entries[] = $entry;
            $places[] = $number;
            self::checkLength(count($entries), $number);
        }
        self::close($open, count($entries), $sections, $warnings);
        if ($entries === []) {
            throw Missing::entryInList();
        }
        $sided = count(array_filter($entries, static fn (Entry $entry): bool => $entry->side === null && TitleSide::of($entry->title) !== null));
        if ($sided > 0) {
            $warnings[] = Message::of('reading.sides_supposed', count: $sided);
        }
        $inferred = (new KinshipReader)->suppose($entries);
        $entries = array_map(static fn (Entry $entry): Entry => $entry->side === null ? $entry->with(['side' => TitleSide::of($entry->title)]) : $entry, $entries);

        return new ReadForm(
            new Form(mb_strimwidth($title, 0, 300), KinshipReader::related($entries, $inferred), $sections),
            $inferred,
            $warnings,
            self::CARRIES,
            false,
            $places,
        );
    }

    /** The kind an entry has by its title alone. */
    public static function kindOf(string $title): EntryKind
    {
        // Two names of the same thing are the same thing: 起势 Commencing, Closing / 收势.
        $words = preg_split('/[\s\/|·,()（）–—-]+/u', mb_strtolower($title), flags: PREG_SPLIT_NO_EMPTY) ?: [];

        return match (true) {
            $words === [] => EntryKind::Movement,
            array_diff($words, self::OPENINGS) === [] => EntryKind::Opening,
            array_diff($words, self::CLOSINGS) === [] => EntryKind::Closing,
            default => EntryKind::Movement,
        };
    }

    /** A line without its bullet, and with the figures of its number as they are typed here. */
    private static function plain(string $line): string
    {
        $line = (string) preg_replace(self::BULLET, '', $line);

        return (string) preg_replace_callback('/^[０-９]+/u', static fn (array $found): string => mb_convert_kana($found[0], 'n'), $line);
    }

    /** @return array<int, string> trimmed lines that are not blank, by line number from 1 */
    private static function lines(string $text): array
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw Unreadable::tooLarge(self::MAX_BYTES);
        }
        if (Unreadable::isUtf16($text)) {
            throw Unreadable::utf16();
        }
        $lines = $wrong = [];
        foreach (preg_split('/\r\n|\r|\n/', JsonNode::withoutByteOrderMark($text)) ?: [] as $at => $line) {
            if (preg_match('//u', $line) !== 1) {
                $wrong[] = Unreadable::notUtf8($at + 1);

                continue;
            }
            if (str_contains($line, "\0")) {
                throw Unreadable::holdsNul($at + 1);
            }
            // Form feeds and the like come with text copied from a page; they mean no more than a space.
            $line = (string) preg_replace('/[\x01-\x1F\x7F]+/', ' ', $line);
            $line = trim((string) preg_replace('/^[\s\p{Z}]+|[\s\p{Z}]+$/u', '', $line));
            if ($line !== '') {
                $lines[$at + 1] = $line;
            }
            if (mb_strlen($line) > self::LONGEST_LINE) {
                $wrong[] = Unreadable::lineTooLong($at + 1, self::LONGEST_LINE);
            }
        }
        if ($wrong !== []) {
            throw SeveralProblems::all($wrong);
        }

        return $lines;
    }

    private static function checkLength(int $entries, int $line): void
    {
        if ($entries > Form::MAX_ENTRIES) {
            throw TooMany::entries(Form::MAX_ENTRIES, line: $line);
        }
    }

    private static function opensSection(string $line): bool
    {
        return preg_match('/.[:：]$/u', $line) === 1
            && preg_match('/^'.self::NUMBER.'/u', $line) !== 1;
    }

    /**
     * @param  array{string, int, int}|null  $open
     * @param  list<Section>  $sections
     * @param  list<Message>  $warnings
     */
    private static function close(?array $open, int $last, array &$sections, array &$warnings): void
    {
        if ($open === null) {
            return;
        }
        [$title, $first, $line] = $open;
        if ($last < $first) {
            $warnings[] = Message::of('reading.empty_section', line: $line, title: $title);
        } else {
            $sections[] = new Section($title, $first, $last);
        }
    }

    /** One line as an entry, or null when it cannot be understood. */
    private static function entry(string $line, int $position): ?Entry
    {
        if (preg_match('/^(?:'.self::NUMBER.'\s*)?(.*?)\s*(?:[(（]([^()（）]*)[)）])?$/u', $line, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        [$number, $title, $bracket] = [$m[1], trim($m[2]), $m[3]];
        if ($title === '' || str_starts_with($title, '#') || preg_match('/\p{L}/u', $title) !== 1) {
            return null;
        }
        if ($bracket === null && preg_match(self::OFTEN, $title, $often) === 1) {
            [, $title, $bracket] = $often;
        }
        $stated = $bracket === null ? [null, null] : self::bracket(mb_convert_kana($bracket, 'as'));
        if ($stated === null && self::kindOf("$title ($bracket)") !== EntryKind::Movement) {
            [$title, $stated] = ["$title ($bracket)", [null, null]]; // its other name
        }
        if ($stated === null) {
            return null;
        }
        [$side, $repetition] = $stated;

        return new Entry(
            id: self::id($position),
            kind: self::kindOf($title),
            title: $title,
            number: $number === null ? null : (int) $number,
            side: $side,
            repetition: $repetition,
        );
    }

    /**
     * Sides and repetition in any order, comma-separated.
     *
     * @return array{?Side, ?Repetition}|null null when a part is not understood or contradicts another
     */
    private static function bracket(string $text): ?array
    {
        $side = $repetition = null;
        foreach (preg_split('/[,，、]/u', $text) ?: [] as $part) {
            $word = mb_strtolower(trim($part));
            $found = match (in_array($word, self::ALTERNATING, true) ? 'both' : $word) {
                'l', 'left' => Side::Left,
                'r', 'right' => Side::Right,
                'both' => Side::Both,
                'centre', 'center' => Side::Centre,
                default => Repetition::parse(trim($part)),
            };
            if ($found instanceof Side) {
                if ($side !== null) {
                    return null;
                }
                $side = $found;
            } elseif (! $found->isUnderstood() || $repetition !== null) {
                return null;
            } else {
                $repetition = $found;
            }
        }
        if ($repetition?->kind === RepetitionKind::Alternating) {
            if ($side !== null && $side !== Side::Both) {
                return null;
            }
            $side = Side::Both;
        }

        return [$side, $repetition];
    }

    /** Whether an id is of the kind that {@see id} gives. */
    public static function isMade(string $id): bool
    {
        return preg_match('/^e\d{2,4}$/D', $id) === 1;
    }

    /** The id an entry is given that has none. */
    public static function id(int $position): string
    {
        return sprintf('e%02d', $position);
    }
}
