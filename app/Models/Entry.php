<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One row of a form; the document is the entry as it stands in the form file.
 *
 * @property string $form_id
 * @property int|null $position  null once it is taken out of its form
 * @property string $key
 * @property \stdClass $document
 * @property bool $sided  whether it is done on both sides
 */
final class Entry extends Model
{
    use BelongsToSchool;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['document' => 'object', 'sided' => 'boolean'];
    }

    /** @return BelongsTo<Form, $this> */
    public function form(): BelongsTo
    {
        return $this->belongsTo(Form::class, 'form_id');
    }
}
