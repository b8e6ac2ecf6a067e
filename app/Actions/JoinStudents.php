<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Consideration;
use App\Models\CurrentSchool;
use App\Models\GroupMember;
use App\Models\LoggedClass;
use App\Models\Student;
use App\Record\Checkpoints;
use Gorvan\Core\Reading\Message;
use Illuminate\Support\Facades\DB;

/**
 * Two students on record are one person. No fact is touched: whoever is kept is read with the record of both, and what this
 * changed in the groups is remembered, so that they can be taken apart again.
 */
final class JoinStudents
{
    public function __construct(private readonly CurrentSchool $school, private readonly Checkpoints $checkpoints, private readonly MeasureTrust $measure, private readonly ReplanGroup $replan, private readonly AskForPlan $ask)
    {
    }

    /** @param  bool  $isSure  although both were at the same classes */
    public function together(Student $kept, Student $other, bool $isSure): void
    {
        DB::transaction(function () use ($kept, $other, $isSure): void {
            $this->ask->holdOf($kept, $other);
            $both = Student::whereKey([$kept->id, $other->id])->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            [$kept, $other] = [$both[$kept->id] ?? $kept, $both[$other->id] ?? $other];
            if ($other->same_as === $kept->id) {
                return; // sent twice
            }
            $this->check($kept, $other, $isSure);
            $changed = ['ended' => [], 'made' => [], 'considerations' => array_values(Consideration::where('student_id', $other->id)->pluck('id')->all())];
            foreach (GroupMember::where('student_id', $other->id)->whereNull('left_on')->get() as $member) {
                if (! GroupMember::where('student_id', $kept->id)->where('group_id', $member->group_id)->whereNull('left_on')->exists()) {
                    $changed['made'][] = GroupMember::create(['group_id' => $member->group_id, 'student_id' => $kept->id, 'joined_on' => $member->joined_on])->id;
                }
                $member->update(['left_on' => $this->school->today()]);
                $changed['ended'][] = $member->id;
            }
            Consideration::whereKey($changed['considerations'])->update(['student_id' => $kept->id]);
            $other->update(['same_as' => $kept->id, 'joined' => json_encode($changed, JSON_THROW_ON_ERROR)]);
            $this->readAnew($kept, $other, array_values([...$kept->others(), $other->id]));
        });
    }

    public function apart(Student $other): void
    {
        DB::transaction(function () use ($other): void {
            $this->ask->holdOf($other, ...Student::whereKey($other->same_as)->get()->all());
            $other = Student::lockForUpdate()->findOrFail($other->id);
            $kept = $other->same_as === null ? null : Student::lockForUpdate()->find($other->same_as);
            if ($kept === null) {
                return; // sent twice
            }
            $changed = json_decode($other->joined ?? '{}', true, 4, JSON_THROW_ON_ERROR);
            GroupMember::whereKey($changed['made'] ?? [])->delete();
            foreach (GroupMember::whereKey($changed['ended'] ?? [])->get() as $member) {
                if (! GroupMember::where('student_id', $other->id)->where('group_id', $member->group_id)->whereNull('left_on')->exists()) {
                    $member->update(['left_on' => null]);
                }
            }
            Consideration::whereKey($changed['considerations'] ?? [])->update(['student_id' => $other->id]);
            $other->update(['same_as' => null, 'joined' => null]);
            $this->readAnew($kept, $other, array_values(array_diff($kept->others(), [$other->id])));
        });
    }

    private function check(Student $kept, Student $other, bool $isSure): void
    {
        if ($kept->id === $other->id) {
            throw Refused::because(Message::of('students.same_one'), 'other');
        }
        foreach ([$kept, $other] as $one) {
            if ($one->same_as !== null || ($one === $other && $one->others() !== [])) {
                throw Refused::because(Message::of('students.joined_already', name: $one->name), 'other');
            }
        }
        $together = LoggedClass::standing()->whereRaw('students @> array[?, ?]::uuid[]', [$kept->id, $other->id])->count();
        if ($together > 0 && ! $isSure) {
            throw Refused::conflict(Message::of('students.together', name: $kept->name, other: $other->name, count: $together), 'isSure');
        }
    }

    /** @param  list<string>  $others  who else on record they are from now on */
    private function readAnew(Student $kept, Student $other, array $others): void
    {
        Student::whereKey($kept->id)->update(['also' => '{'.implode(',', $others).'}']);
        $this->checkpoints->discard([$kept->id, $other->id]);
        $this->measure->of([$kept->id, $other->id]);
        foreach (GroupMember::where('student_id', $kept->id)->whereNull('left_on')->pluck('group_id') as $group) {
            $this->replan->because($group, 'cause.joined_people', [$kept]);
        }
    }
}
