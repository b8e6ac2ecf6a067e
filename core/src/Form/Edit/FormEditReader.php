<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Edit;

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\FindingCode;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\TooMany;
use stdClass;

/**
 * Reads edits as an editor sends them, a list of objects with an `op`:
 *
 * `set` (id, fields | cells), `insert` (after, entries), `remove` (ids), `move` (id, after), `split` (id, as), `merge`
 * (id), `mirror` (id, as), `renumber` (from), `form` (fields), `section` (id, title), `accept` (code, grounds, reason).
 *
 * @phpstan-type Data array{op: EditKind, id?: string, fields?: object, cells?: array<string, string>, after?: string|null, entries?: list<object>, ids?: list<string>, as?: string, from?: int, title?: string|null, code?: FindingCode, grounds?: string, reason?: string|null}
 */
final class FormEditReader
{
    /** More than a large paste asks for. */
    public const MOST = 1200;

    private const LONGEST_CELL = 10_000;

    /**
     * @return list<FormEdit>
     *
     * @throws BadInput
     */
    public function read(JsonNode $node): array
    {
        $items = $node->items();
        if (count($items) > self::MOST) {
            throw TooMany::items($node->path, 'edits', self::MOST);
        }

        return array_map($this->edit(...), $items);
    }

    /** @throws BadInput */
    private function edit(JsonNode $node): FormEdit
    {
        $id = static fn (string $key = 'id'): string => $node->required($key)->text(120);

        return match (EditKind::tryFrom($node->required('op')->text(20)) ?? throw NotAllowed::edit($node->path.'.op')) {
            EditKind::Set => new SetEntry($id(), self::members($node->optional('fields')), self::cells($node->optional('cells'))),
            EditKind::Insert => new InsertEntries($node->optional('after')?->text(120), array_map((new FormFileReader)->entry(...), $node->required('entries')->items())),
            EditKind::Remove => new RemoveEntries(array_map(static fn (JsonNode $one): string => $one->text(120), $node->required('ids')->items())),
            EditKind::Move => new MoveEntry($id(), $node->optional('after')?->text(120)),
            EditKind::Split => new SplitEntry($id(), $id('as')),
            EditKind::Merge => new MergeEntry($id()),
            EditKind::Mirror => new MirrorEntry($id(), $id('as')),
            EditKind::Renumber => new Renumber($node->optional('from')?->whole(0, 9999) ?? 1),
            EditKind::Form => new SetForm(self::members($node->required('fields'))),
            EditKind::Section => new SetSection($id(), $node->optional('title')?->text()),
            EditKind::Accept => new AcceptFinding($node->required('code')->oneOf(FindingCode::class), $node->required('grounds')->text(40), $node->optional('reason')?->text()),
        };
    }

    /** @return array<string, mixed> */
    private static function members(?JsonNode $node): array
    {
        $members = [];
        foreach (get_object_vars($node?->object() ?? new stdClass) as $key => $value) {
            $members[(string) $key] = $value;
        }

        return $members;
    }

    /**
     * @return array<string, string>
     *
     * @throws BadInput
     */
    private static function cells(?JsonNode $node): array
    {
        $cells = [];
        foreach (self::members($node) as $column => $text) {
            if (! is_string($text) || mb_strlen($text) > self::LONGEST_CELL) {
                throw Malformed::cell(($node->path ?? '$').".$column", self::LONGEST_CELL);
            }
            $cells[$column] = $text;
        }

        return $cells;
    }
}
