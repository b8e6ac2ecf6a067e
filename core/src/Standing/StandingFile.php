<?php

declare(strict_types=1);

namespace Gorvan\Core\Standing;

use DateTimeZone;
use Gorvan\Core\Form\Form;
use Gorvan\Core\Form\Passage;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Memory\Replay;
use Gorvan\Core\Reading\Day;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Gorvan\Core\Reading\WrongType;
use Gorvan\Core\Record\Record;
use Gorvan\Core\Record\RecordReader;

/** The record of a group as `gorvan.standing` takes it (docs/formats/commands.md), read against its form. */
final readonly class StandingFile
{
    /**
     * @param  array<Record>  $records  by student
     * @param  list<Message>  $warnings
     */
    private function __construct(public DateTimeZone $zone, public Form $form, private array $records, private Taught $taught, public ?Passage $recap, public array $warnings)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json, Form $form): self
    {
        $root = JsonNode::parse($json);
        $zone = Instant::zone($root->required('timezone'));
        $warnings = $root->unknown(['timezone', 'group', 'students', 'taught', 'recap']);
        $records = [];
        foreach ($root->optional('group')?->items() ?? [] as $student) {
            $records[$student->text(120)] = new Record([]);
        }
        $students = $root->required('students');
        $hasSides = static fn (string $entry): bool => self::hasSides($form, $entry);
        foreach (array_keys(get_object_vars($students->object())) as $student) {
            [$record, $unknown] = (new RecordReader)->events($students->required((string) $student), $zone, $hasSides);
            $records[(string) $student] = $record;
            array_push($warnings, ...$unknown);
        }
        $lessons = [];
        foreach ($root->optional('taught')?->items() ?? [] as $lesson) {
            array_push($warnings, ...$lesson->unknown(['on', 'from', 'to']));
            $from = $lesson->required('from')->whole(1, $form->count());
            $passage = new Passage($from, $lesson->required('to')->whole($from, $form->count()));
            $lessons[] = [Day::number(Instant::day($lesson->required('on'))), array_map(static fn (int $position): string => $form->at($position)->id, $passage->positions())];
        }

        return new self($zone, $form, $records, Taught::of($lessons), self::recap($root->optional('recap'), $form), $warnings);
    }

    /** @return array<StudentStanding> by student, in the order of the file */
    public function on(int $day): array
    {
        $model = new MemoryModel;
        $replay = new Replay($model);

        return array_map(fn (Record $record): StudentStanding => StudentStanding::of(
            $this->form,
            $replay->until($record, $day, fn (string $entry): bool => self::hasSides($this->form, $entry)),
            $day,
            $model,
        ), $this->records);
    }

    /** @return list<int> */
    public function taughtBy(int $day): array
    {
        return $this->taught->by($day, $this->form);
    }

    private static function hasSides(Form $form, string $entry): bool
    {
        $position = $form->positionOf($entry);

        return $position !== null && $form->at($position)->isDoneOnBothSides();
    }

    private static function recap(?JsonNode $node, Form $form): ?Passage
    {
        if ($node === null) {
            return null;
        }
        $ends = $node->items();
        if (count($ends) !== 2) {
            throw WrongType::wanted($node->path, 'pair', $node->value);
        }
        $from = $ends[0]->whole(1, $form->count());

        return new Passage($from, $ends[1]->whole($from, $form->count()));
    }
}
