<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Principle\FocusChooser;
use Gorvan\Core\Principle\Principle;
use Gorvan\Core\Principle\PrincipleSet;
use Gorvan\Core\Reading\Fields;
use Gorvan\Core\Reading\Gone;
use Gorvan\Core\Reading\Instant;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Malformed;

/** The problem file of `gorvan:focus` (docs/formats/commands.md): meetings, principles, and invented students who have met none. */
final readonly class FocusFile
{
    private const COURSE = 'course';

    private const MOST_MEETINGS = 400;

    private const MOST_STUDENTS = 1000;

    /**
     * @param  list<TermMeeting>  $meetings
     * @param  array<int, array<string, list<string>>>  $entries
     * @param  list<\Gorvan\Core\Reading\Message>  $warnings
     * @param  list<int>  $quiet  a showing's meeting, and the one before it
     */
    private function __construct(public string $seed, public FocusOutset $outset, public array $meetings, public array $entries, public array $warnings, public array $quiet)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json): self
    {
        $root = JsonNode::parse($json);
        $warnings = $root->unknown(['seed', 'attendance', 'students', 'principles', 'bites', 'meetings', 'per_meeting', 'by_family']);
        $principles = [];
        foreach ($root->required('principles')->itemsAtMost(PrincipleSet::MOST) as $node) {
            $id = $node->required('id')->text(Fields::SHORT);
            $principles[] = new Principle($id, $node->optional('title')?->text() ?? $id, $node->optional('family')?->text(Fields::SHORT), after: Fields::ids($node->optional('after')));
        }
        $set = PrincipleSet::of('principles', null, array_values(array_unique(array_filter(array_map(static fn (Principle $one): ?string => $one->family, $principles)))), $principles);
        $bites = Bites::read($root->optional('bites'));
        foreach ($bites->all as $at => $bite) {
            $set->principle($bite->principle) ?? throw Gone::principle("\$.bites[$at].principle", $bite->principle);
        }
        [$meetings, $entries, $quiet] = self::meetings($root->required('meetings'));
        $students = ExpectedStudent::invented(
            $root->optional('students')?->whole(1, self::MOST_STUDENTS) ?? ExpectedStudent::INVENTED,
            $root->optional('attendance')?->number(0, 1) ?? ExpectedStudent::USUALLY_COMES,
        );

        return new self(
            $root->optional('seed')?->text(Fields::SHORT) ?? PlanFile::SEED,
            new FocusOutset($set, [self::COURSE => $bites], $students, most: $root->optional('per_meeting')?->whole(1, FocusChooser::MOST) ?? 1, byFamily: $root->optional('by_family')?->bool() ?? false),
            $meetings,
            $entries,
            $warnings,
            $quiet,
        );
    }

    /** @return array<int, list<PlannedFocus>> by meeting */
    public function laid(): array
    {
        return (new FocusPlanner)->lay($this->seed, $this->outset, $this->meetings, $this->entries, $this->quiet);
    }

    /** @return array{list<TermMeeting>, array<int, array<string, list<string>>>, list<int>} */
    private static function meetings(JsonNode $list): array
    {
        $meetings = $entries = $quiet = [];
        $before = null;
        $ofDay = 0;
        foreach ($list->itemsAtMost(self::MOST_MEETINGS) as $at => $node) {
            $on = Instant::day($node->required('on'));
            if ($before !== null && $on < $before) {
                throw Malformed::text("$node->path.on", 'order', $on);
            }
            $ofDay = $on === $before ? $ofDay + 1 : 0;
            // Two meetings of a day have draws of their own (engine 9); a file says no times, so the second goes by its place.
            $meetings[] = new TermMeeting($on, 60, key: $ofDay === 0 ? $on : "$on $ofDay");
            $entries[$at] = [self::COURSE => Fields::ids($node->optional('entries'))];
            if ($node->optional('showing')?->bool() === true) {
                array_push($quiet, ...($at > 0 ? [$at - 1] : []), ...[$at]);
            }
            $before = $on;
        }

        return [$meetings, $entries, $quiet];
    }
}
