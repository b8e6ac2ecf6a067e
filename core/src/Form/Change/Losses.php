<?php

declare(strict_types=1);

namespace Gorvan\Core\Form\Change;

use Gorvan\Core\Form\Entry;
use Gorvan\Core\Form\File\Export;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/**
 * What would not come back from a format: the form is written, read again and compared, so that nothing is forgotten
 * here.
 */
final class Losses
{
    /**
     * @return list<Message>
     *
     * @throws \Gorvan\Core\Reading\BadInput when what was written cannot be read again at all
     */
    public static function of(Form $form, Export $as): array
    {
        $again = $as->read($as->write($form), $form->title)->form;
        $losses = $as === Export::Csv ? [Message::of('loss.title')] : [];
        if ($as === Export::PlainList) {
            $losses[] = Message::of('loss.ids');
            $again = self::sameIds($form, $again);
        }
        $difference = FormDifference::between($form, $again);
        if ($difference->isStructural()) {
            $losses[] = Message::of('loss.entries', written: $form->count(), read: $again->count());
        }
        foreach ($difference->form as $change) {
            $losses[] = Message::of('loss.form_field', field: Message::of("field.$change->field"));
        }
        foreach ($difference->counts() as $field => $count) {
            $losses[] = Message::of('loss.entry_field', field: Message::of("field.$field"), count: $count);
        }

        return $losses;
    }

    private static function sameIds(Form $form, Form $again): Form
    {
        if ($form->count() !== $again->count()) {
            return $again;
        }
        $new = static fn (?string $id): ?string => $id === null ? null : $form->entries[($again->positionOf($id) ?? 1) - 1]->id;

        return $again->with(['entries' => array_map(
            static fn (Entry $entry, Entry $was): Entry => $entry->with(['id' => $was->id, 'returns' => $new($entry->returns), 'mirrors' => $new($entry->mirrors)]),
            $again->entries,
            $form->entries,
        )]);
    }
}
