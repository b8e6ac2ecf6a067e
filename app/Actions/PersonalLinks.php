<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\CurrentSchool;
use App\Models\LinkDevice;
use App\Models\Student;
use App\Models\StudentLink;
use App\Models\UnknownSchool;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Personal links: made for a student, opened on a device, renewed and revoked. Token and key are kept as hashes alone, and both
 * name the school they are of, so that nothing is looked for outside it.
 */
final class PersonalLinks
{
    /** Days a link opens anything: a term and the weeks around it. */
    private const DAYS = 120;

    /** Of one link. */
    private const MOST_DEVICES = 20;

    /** Characters of a secret: 62^40 is more than anybody guesses. */
    private const LENGTH = 40;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    /**
     * A new link; an earlier one of the same student opens nothing any more.
     *
     * @return array{StudentLink, string} and its token
     */
    public function make(Student $student): array
    {
        $secret = Str::random(self::LENGTH);
        $link = DB::transaction(function () use ($student, $secret): StudentLink {
            $this->revoke($student);

            return StudentLink::create(['student_id' => $student->id, 'token' => hash('sha256', $secret), 'made_at' => now(), 'expires_at' => now()->addDays(self::DAYS)]);
        });

        return [$link, "{$this->school->id()}.$secret"];
    }

    public function revoke(Student $student): void
    {
        StudentLink::where('student_id', $student->id)->whereNull('revoked_at')->update(['revoked_at' => now()]);
    }

    /** The link of a student that opens something now. */
    public function openOf(Student $student): ?StudentLink
    {
        return StudentLink::where('student_id', $student->id)->whereNull('revoked_at')->where('expires_at', '>', now())->orderByDesc('made_at')->first();
    }

    public function devices(StudentLink $link): int
    {
        return LinkDevice::where('link_id', $link->id)->count();
    }

    /**
     * Exchanges a token for what a device carries from then on; null where it opens nothing, whatever the reason.
     *
     * @return array{string, StudentLink}|null
     */
    public function open(string $token): ?array
    {
        return $this->inSchoolOf($token, function (string $secret): ?array {
            $link = StudentLink::where('token', hash('sha256', $secret))->first();
            if ($link === null || ! $link->isOpen()) {
                return null;
            }
            $key = Str::random(self::LENGTH);
            // Whoever opens it again and again fills nothing: the devices that were not used for longest go.
            LinkDevice::whereIn('id', LinkDevice::where('link_id', $link->id)->orderByDesc('last_at')->orderByDesc('id')->skip(self::MOST_DEVICES - 1)->limit(1000)->pluck('id'))->delete();
            LinkDevice::create(['link_id' => $link->id, 'key' => hash('sha256', $key), 'first_at' => now(), 'last_at' => now()]);

            return ["{$this->school->id()}.$key", $link];
        });
    }

    /** The device behind the secret of a key, inside its school; null where it opens nothing any more. */
    public function device(string $secret): ?OpenedDevice
    {
        $device = LinkDevice::with('link.student')->where('key', hash('sha256', $secret))->first();

        return $device === null || ! $device->link->isOpen() || $device->link->student->off_list_at !== null ? null : new OpenedDevice($device, $device->link->student->same_as === null ? $device->link->student : Student::findOrFail($device->link->student->same_as));
    }

    /**
     * Does something in the school that a token or key names, with its secret; null where there is no such school.
     *
     * @template T
     *
     * @param  callable(string): (T|null)  $work
     * @param  (callable(T|null): bool)|null  $isKept  whether what was done stays; always unless said
     * @return T|null
     */
    public function inSchoolOf(string $token, callable $work, ?callable $isKept = null): mixed
    {
        $parts = explode('.', $token, 2);
        if (! Str::isUuid($parts[0]) || preg_match('/^[A-Za-z0-9]{'.self::LENGTH.'}$/D', $parts[1] ?? '') !== 1) {
            return null;
        }
        try {
            return $this->school->duringId($parts[0], static fn (): mixed => $work($parts[1]), $isKept);
        } catch (UnknownSchool) {
            return null;
        }
    }
}
