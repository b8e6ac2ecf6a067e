<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Form\Change\FieldChange;
use Gorvan\Core\Form\Change\FormDifference;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** What changed of a form, as people read it in its list of versions. */
final class Told
{
    private const MOST = 6;

    private const MOST_TITLES = 4;

    /** @return list<Message> */
    public static function of(FormDifference $difference, Form $before, Form $after): array
    {
        $said = [
            ...self::entries('added', $difference->added, $after),
            ...self::entries('gone', $difference->gone, $before),
            ...self::entries('moved', $difference->moved, $after),
        ];
        foreach ($difference->changed as $id => $changes) {
            $position = $after->positionOf((string) $id);
            if ($position !== null) {
                $said[] = Message::of('version.entry', title: $after->at($position)->title, changes: array_map(self::change(...), $changes));
            }
        }
        foreach ($difference->form as $change) {
            $said[] = Message::of('version.form', change: self::change($change));
        }
        $more = count($said) - self::MOST;

        return $more > 1 ? [...array_slice($said, 0, self::MOST), Message::of('version.more', count: $more)] : $said;
    }

    /**
     * @param  list<string>  $ids
     * @return list<Message>
     */
    private static function entries(string $what, array $ids, Form $form): array
    {
        $titles = array_map(static fn (string $id): Message => Message::of('version.quoted', title: $form->positionOf($id) === null ? $id : $form->at($form->positionOf($id))->title), array_slice($ids, 0, self::MOST_TITLES));
        $more = count($ids) - count($titles);

        return match (true) {
            $ids === [] => [],
            $more > 0 => [Message::of("version.{$what}_more", titles: $titles, more: $more)],
            default => [Message::of("version.$what", titles: $titles)],
        };
    }

    private static function change(FieldChange $change): Message
    {
        $words = static function (mixed $value): Message|string {
            $said = FieldChange::words($value);

            return is_string($said) ? mb_strimwidth($said, 0, 60, '…') : $said;
        };

        return Message::of('version.change', field: Message::of("field.$change->field"), before: $words($change->before), after: $words($change->after));
    }
}
