<?php

declare(strict_types=1);

namespace Gorvan\Core\Lesson\Content;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Reading\BadInput;
use Gorvan\Core\Reading\CsvText;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\NotAllowed;
use Gorvan\Core\Reading\Repeated;

/** The lessons of a form as a file: `gorvan.lessons/1` both ways, and a CSV of the list. Pure. */
final class LessonsFile
{
    public const FORMAT = 'gorvan.lessons/1';

    public const KEYS = ['format', 'form', 'lessons'];

    /** More than a form has entries. */
    public const MOST = 600;

    /** Read by nobody, but written: they follow from the form. */
    private const FOLLOWS = ['recap', 'run_through'];

    private const COLUMNS = ['lesson', 'kind', 'title', 'first', 'last', 'entries', 'recap_first', 'run_through_first', 'checks', 'note'];

    /**
     * @param  list<WrittenLesson>  $lessons
     */
    public static function written(Form $form, array $lessons): string
    {
        $ids = static fn (?Passage $passage): array => $form->countedIdsOf($passage);
        $data = [];
        foreach ($lessons as $lesson) {
            $content = LessonContent::of($form, $lesson);
            $data[] = (object) array_replace(get_object_vars($lesson->toData()), array_filter(['recap' => $ids($content->recap), 'run_through' => $ids($content->runThrough)]));
        }

        return json_encode(['format' => self::FORMAT, 'form' => $form->title, 'lessons' => $data], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT)."\n";
    }

    /**
     * @param  Form  $form  whose entries the lessons name
     * @return array{list<WrittenLesson>, list<Message>} the lessons, and what was kept without being understood
     *
     * @throws BadInput with the JSON path
     */
    public static function read(string $text, Form $form): array
    {
        $root = JsonNode::parse($text);
        $format = $root->required('format');
        if ($format->text() !== self::FORMAT) {
            throw NotAllowed::format($format->path, self::FORMAT);
        }
        $lessons = $seen = $warnings = [];
        foreach ($root->required('lessons')->itemsAtMost(self::MOST) as $node) {
            $lesson = WrittenLesson::read($node);
            $lesson = $lesson->with(['others' => array_diff_key($lesson->others, array_flip(self::FOLLOWS))]);
            if (isset($seen[$lesson->id])) {
                throw Repeated::inList("$node->path.id", $lesson->id);
            }
            $seen[$lesson->id] = true;
            foreach ($lesson->entries as $at => $id) {
                if ($form->positionOf($id) === null) {
                    throw Gone::named("$node->path.entries[$at]", $id);
                }
            }
            try {
                LeadUps::of($lesson->drills, $form);
            } catch (BadInput $e) {
                throw $e->movedTo($node->path.substr($e->place, 1));
            }
            array_push($warnings, ...$node->unknown([...WrittenLesson::KEYS, ...self::FOLLOWS], self::FORMAT));
            $lessons[] = $lesson;
        }

        return [$lessons, $warnings];
    }

    /**
     * The list, one row a lesson: RFC 4180.
     *
     * @param  list<WrittenLesson>  $lessons
     */
    public static function csv(Form $form, array $lessons): string
    {
        $rows = [self::COLUMNS];
        foreach ($lessons as $at => $lesson) {
            $content = LessonContent::of($form, $lesson);
            $called = static fn (?int $position): string => $position === null ? '' : (string) ($form->at($position)->number ?? $form->at($position)->title);
            $rows[] = [
                (string) ($at + 1), $lesson->kind->value, (string) $lesson->title,
                $called($content->entries[0] ?? null), $called($content->entries === [] ? null : $content->entries[count($content->entries) - 1]),
                implode(' | ', array_map(static fn (int $position): string => $form->at($position)->title, $content->entries)),
                $called($content->recap?->from), $called($content->runThrough?->from),
                implode(' | ', array_merge([], ...array_values($content->checks()))), (string) $lesson->note,
            ];
        }

        return CsvText::of($rows);
    }
}
