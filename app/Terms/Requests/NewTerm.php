<?php

declare(strict_types=1);

namespace App\Terms\Requests;

use App\Shared\Sent\Rules;
use App\Shared\Sent\Sent;
use Gorvan\Core\Term\Approach;

/** A term as it is asked for. */
final readonly class NewTerm implements Sent
{
    /**
     * @param  list<SentMeeting>  $pattern
     * @param  list<SentClosure>  $closures
     * @param  SentPace|null  $pace  empty for what was learned or is usual
     * @param  bool  $takesLessons  the lessons of the form as they are, where it has some of its own; else it is cut to this class
     * @param  string|null  $after  the term it follows: its courses and what was written for their lessons are taken along
     */
    public function __construct(
        #[Rules('uuid')]
        public string $group,
        #[Rules('max:120')]
        public string $title,
        #[Rules('date_format:Y-m-d')]
        public string $from,
        #[Rules('date_format:Y-m-d')]
        public string $to,
        #[Rules('required', 'min:1', 'max:50')]
        public array $pattern,
        #[Rules('max:200')]
        public array $closures,
        public Approach $approach,
        public ?SentShowing $showing = null,
        public ?SentPace $pace = null,
        public ?bool $spread = null,
        public bool $takesLessons = true,
        #[Rules('uuid')]
        public ?string $after = null,
    ) {
    }

    /** @return array{from: string, to: string, pattern: list<array{weekday: string, at: string, minutes: int}>, closures: list<array{from: string, to: string}>} as in the term file */
    public function term(): array
    {
        return [
            'from' => $this->from,
            'to' => $this->to,
            'pattern' => array_map(static fn (SentMeeting $one): array => ['weekday' => $one->weekday->value, 'at' => $one->at, 'minutes' => $one->minutes], $this->pattern),
            'closures' => array_map(static fn (SentClosure $one): array => ['from' => $one->from, 'to' => $one->to], $this->closures),
        ];
    }
}
