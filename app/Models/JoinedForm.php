<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Principle\Bites;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Database\Eloquent\Model;

/**
 * Where the principles of a set bite in a form.
 *
 * @property string $set_id
 * @property string $form_id
 * @property string $document
 * @property int $version
 */
final class JoinedForm extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $table = 'bites';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['version' => 'integer'];
    }

    public static function between(string $set, string $form): ?self
    {
        return self::where('set_id', $set)->where('form_id', $form)->first();
    }

    public function bites(): Bites
    {
        return Bites::read(JsonNode::parse($this->document));
    }
}
