<?php

declare(strict_types=1);

namespace Gorvan\Core\Practice;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Memory\MemoryState;
use Gorvan\Core\Reading\Contradiction;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\OutOfRange;
use Gorvan\Core\Reading\Repeated;
use Gorvan\Core\Term\KnownEntry;

/** The problem file of `gorvan:practice` (docs/formats/commands.md). */
final readonly class PracticeFile
{
    private const MOST_MINUTES = 240.0;

    private const MOST_SECONDS = 86400.0;

    private const MOST_DAYS = 366;

    /** @param  list<Message>  $warnings */
    private function __construct(public PracticeRequest $request, public array $warnings)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json): self
    {
        $root = JsonNode::parse($json);
        $warnings = $root->unknown(['on', 'next', 'minutes', 'days', 'entries']);
        [$on, $next] = [Instant::day($root->required('on')), Instant::day($root->required('next'))];
        if (Day::number($next) <= Day::number($on)) {
            throw Contradiction::endsBeforeItStarts('$.next', 'practice', $on, $next);
        }
        $items = $seen = [];
        foreach ($root->required('entries')->itemsAtMost(Form::MAX_ENTRIES) as $node) {
            array_push($warnings, ...$node->unknown(['id', 'state', 'seconds', 'weight']));
            $id = $node->required('id')->text(Fields::SHORT);
            if (isset($seen[$id])) {
                throw Repeated::inList("$node->path.id", $id);
            }
            $seen[$id] = true;
            $state = $node->optional('state');
            $seconds = $node->optional('seconds')?->number(0, self::MOST_SECONDS) ?? 0.0;
            $weight = $node->optional('weight')?->number(0, 1000) ?? 1.0;
            $items[] = $state === null ? null : new PracticeItem(self::known($state, $on, $warnings), $seconds, $weight);
        }

        return new self(new PracticeRequest(
            Day::number($on),
            Day::number($next),
            $items,
            $root->optional('minutes')?->number(0, self::MOST_MINUTES) ?? PracticeRequest::MINUTES,
            $root->optional('days')?->whole(0, self::MOST_DAYS) ?? PracticeRequest::DAYS,
        ), $warnings);
    }

    /** @param  list<Message>  $warnings */
    private static function known(JsonNode $state, string $on, array &$warnings): KnownEntry
    {
        array_push($warnings, ...$state->unknown(['stability', 'difficulty', 'last']));
        $last = $state->required('last');
        $day = Day::number(Instant::day($last));
        if ($day > Day::number($on)) {
            throw OutOfRange::laterThan($last->path, $on);
        }

        return new KnownEntry(new MemoryState($state->required('stability')->number(0.001, 36500), $state->required('difficulty')->number(1, 10)), $day);
    }
}
