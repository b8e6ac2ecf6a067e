<?php

declare(strict_types=1);

namespace App\Lessons\Requests;

use App\Shared\Description\AsData;
use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Lesson\Content\WrittenLesson;
use Gorvan\Core\Reading\JsonNode;

/** What is written into a lesson. */
final readonly class LessonText implements Sent
{
    /** @param  int  $version  that was seen */
    public function __construct(
        #[Rules('min:0', 'max:1000000')]
        public int $version,
        #[AsData(WrittenLesson::class)]
        public JsonNode $lesson,
        public ?string $course = null,
    ) {
    }
}
