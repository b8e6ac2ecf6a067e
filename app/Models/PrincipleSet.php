<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Principle\PrincipleSet as CoreSet;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A set of principles; its document is read and written through core.
 *
 * @property string $title
 * @property string $document
 * @property int $version
 * @property \Illuminate\Database\Eloquent\Collection<int, Principle> $principles
 * @property \Illuminate\Database\Eloquent\Collection<int, Principle> $gone
 */
final class PrincipleSet extends Model
{
    use BelongsToSchool;

    protected $guarded = [];

    /** @var array{string, CoreSet}|null  the set as it was read last, and from what: several groups work on one */
    private ?array $read = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['version' => 'integer'];
    }

    /** @return HasMany<Principle, $this> in their order; those taken out are not among them */
    public function principles(): HasMany
    {
        $rows = $this->hasMany(Principle::class, 'set_id');
        $rows->whereNotNull('ordinal')->orderBy('ordinal');

        return $rows;
    }

    /** @return HasMany<Principle, $this> taken out of the set, and still on record */
    public function gone(): HasMany
    {
        $rows = $this->hasMany(Principle::class, 'set_id');
        $rows->whereNull('ordinal');

        return $rows;
    }

    /** @return HasMany<PrincipleVersion, $this> the latest first */
    public function versions(): HasMany
    {
        $rows = $this->hasMany(PrincipleVersion::class, 'set_id');
        $rows->orderByDesc('number');

        return $rows;
    }

    /** The set under the ids of its own file. */
    public function set(): CoreSet
    {
        if ($this->read === null || $this->read[0] !== $this->document) {
            $this->read = [$this->document, CoreSet::read(JsonNode::parse($this->document))];
        }

        return $this->read[1];
    }

    public function placed(): PlacedPrinciples
    {
        return new PlacedPrinciples($this->id, $this->set(), $this->principles->pluck('id', 'key')->all());
    }
}
