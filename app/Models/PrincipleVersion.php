<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Principle\PrincipleSet as CoreSet;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Database\Eloquent\Model;

/**
 * A state a set of principles was in, kept whole.
 *
 * @property string $set_id
 * @property int $number
 * @property string|null $made_by
 * @property \Illuminate\Support\Carbon $made_at
 * @property string $what
 * @property string $document
 */
final class PrincipleVersion extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'datetime', 'number' => 'integer'];
    }

    public function set(): CoreSet
    {
        return CoreSet::read(JsonNode::parse($this->document));
    }

    /** @return list<Message> what changed */
    public function changes(): array
    {
        return array_map(Message::read(...), JsonNode::parse($this->what)->items());
    }
}
