<?php

declare(strict_types=1);

namespace App\Actions;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Lesson\CutScope;
use Gorvan\Core\Lesson\LessonCut;
use Gorvan\Core\Reading\Message;

/** A cut on trial, with what it was made of. */
final readonly class TriedCut
{
    /**
     * @param  float  $minutesPerLoad  what a unit of load takes, where nothing else is said
     * @param  Message|null  $pace  how fast its course goes; null of no course
     */
    public function __construct(public Form $form, public CutScope $scope, public LessonCut $cut, public float $minutesPerLoad, public ?Message $pace = null)
    {
    }
}
