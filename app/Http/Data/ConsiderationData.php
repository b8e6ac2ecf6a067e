<?php

declare(strict_types=1);

namespace App\Http\Data;

use App\Models\Consideration;
use Gorvan\Core\Care\BodySide;
use Gorvan\Core\Care\Consideration as ConsiderationKind;

/** Something a teacher plans around. Private. */
final readonly class ConsiderationData
{
    /**
     * @param  bool  $holds  today
     * @param  bool  $isReadable  false where the key of this installation does not open it
     */
    public function __construct(
        public string $id,
        public ConsiderationKind $what,
        public ?BodySide $side,
        public ?string $since,
        public ?string $until,
        public ?string $note,
        public bool $holds,
        public bool $isReadable,
    ) {
    }

    public static function of(Consideration $row, string $today): self
    {
        $noted = $row->noted();

        return new self($row->id, $noted->what, $noted->side, $noted->since, $noted->until, $noted->note, $noted->holdsOn($today), $row->isReadable());
    }
}
