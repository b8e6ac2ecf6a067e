<?php

declare(strict_types=1);

namespace App\Models;

use Gorvan\Core\Form\File\FormFileReader;
use Gorvan\Core\Form\Form as CoreForm;
use Gorvan\Core\Reading\JsonNode;
use Gorvan\Core\Reading\Message;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A state a form was in, kept whole.
 *
 * @property string $form_id
 * @property int $number
 * @property string|null $made_by
 * @property Carbon $made_at
 * @property string $what
 * @property string $file
 */
final class FormVersion extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'datetime', 'number' => 'integer'];
    }

    public function form(): CoreForm
    {
        return (new FormFileReader)->read($this->file)->form;
    }

    /** @return list<Message> what changed */
    public function changes(): array
    {
        return array_map(Message::read(...), JsonNode::parse($this->what)->items());
    }
}
