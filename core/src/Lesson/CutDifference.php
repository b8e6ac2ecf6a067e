<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\Message;

/** What a new cut moved: lessons are compared by their number, entries by id. */
final class CutDifference
{
    /** Told one by one up to here. */
    private const MOST = 6;

    /**
     * @param  list<list<string>>  $was  entry ids of each lesson
     * @param  list<list<string>>  $is
     * @param  Form  $form  as it is now
     * @return list<Message>
     */
    public static function between(array $was, array $is, Form $form): array
    {
        $moved = [];
        foreach ($is as $at => $ids) {
            if (isset($was[$at]) && $was[$at] !== $ids) {
                $before = $form->positionsOf($was[$at]);
                $moved[] = $before === []
                    ? Message::of('moved.new_lesson', number: $at + 1, is: $form->positionsOf($ids))
                    : Message::of('moved.lesson', number: $at + 1, was: $before, is: $form->positionsOf($ids));
            }
        }
        $more = count($moved) - self::MOST;
        $moved = $more > 1 ? [...array_slice($moved, 0, self::MOST), Message::of('moved.more', count: $more)] : $moved;

        return count($was) === count($is) ? $moved : [Message::of('moved.count', was: count($was), is: count($is)), ...$moved];
    }
}
