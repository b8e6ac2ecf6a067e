<?php

declare(strict_types=1);

namespace App\Models;

use App\Record\Checkpoints;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Memory\MemoryModel;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A school, which sees only its own rows.
 *
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property bool $is_demo
 * @property SchoolLocale $locale  how it writes days, times and numbers
 * @property string|null $letter_words  the school's own sentences for letters
 * @property string|null $warm_ups  gorvan.warm_ups/1; null for those that come with the application
 * @property int $warm_ups_version
 * @property float|null $recall_factor  by which recall is read
 * @property int $forecasts_version  grows when what marks say of the forecasts changed
 * @property string|null $reliability  whether the forecasts were true, as it was last worked out
 * @property string|null $reliability_of  of what
 */
final class School extends Model
{
    use HasUuids;

    /** What warms up a school that has not said anything. */
    private const GENERIC = 'warm-ups/generic.json';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $attributes = ['locale' => SchoolLocale::Britain->value];

    /** @var array{string|null, WarmUpList}|null  the list, and the text it was read from: a page asks for it meeting by meeting */
    private ?array $read = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_demo' => 'boolean', 'locale' => SchoolLocale::class, 'warm_ups_version' => 'integer', 'recall_factor' => 'float'];
    }

    public static function booted(): void
    {
        // Another zone moves facts to other days, so what was computed of anybody's record no longer holds.
        self::updated(static function (self $school): void {
            if ($school->wasChanged('timezone')) {
                app(CurrentSchool::class)->during($school, static fn () => app(Checkpoints::class)->discard());
            }
        });
    }

    public function warmUps(): WarmUpList
    {
        if ($this->read === null || $this->read[0] !== $this->warm_ups) {
            $this->read = [$this->warm_ups, WarmUpList::read(JsonNode::parse($this->warm_ups ?? (string) file_get_contents(database_path(self::GENERIC))))];
        }

        return $this->read[1];
    }

    /** How recall is read here: by the factor the school has adopted, if any. */
    public function memory(): MemoryModel
    {
        return new MemoryModel($this->recall_factor ?? 1.0);
    }

    /** @return HasMany<User, $this> */
    public function users(): HasMany
    {
        return $this->hasMany(User::class);
    }
}
