<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

/** Everything a plan of a term is decided by. */
final readonly class TermRequest
{
    /**
     * @param  list<TermMeeting>  $meetings  the whole term in order; those not open stay as they were, cancelled ones are not among them
     * @param  non-empty-list<CourseOutset>  $courses  all with the same students
     * @param  FocusOutset|null  $focus  null where the group has no principles
     * @param  WarmUpOutset|null  $warmUps  null where there are none to choose from
     * @param  bool  $hasFocus  the group works on principles, also where a question leaves them aside
     * @param  list<int>  $turns  whose evening it is, by place in the courses, over and over; none where all share each evening
     * @param  RunningOrder|null  $order  of its classes; null for the usual one
     */
    public function __construct(public string $seed, public array $meetings, public array $courses, public ?FocusOutset $focus = null, public ?WarmUpOutset $warmUps = null, public array $turns = [], public bool $hasFocus = false, public ?RunningOrder $order = null)
    {
    }

    /** Whether a meeting has a part for principles. */
    public function hasFocus(): bool
    {
        return $this->hasFocus || $this->focus !== null;
    }

    /** In which order its classes go. */
    public function order(): RunningOrder
    {
        $order = $this->order ?? RunningOrder::usual();

        return $this->hasFocus() ? $order : $order->withoutFocus();
    }

    /** The same without what a question does not ask for: principles and warm-ups are not chosen, and their minutes stay. */
    public function bare(): self
    {
        return $this->with(['focus' => null, 'warmUps' => null, 'hasFocus' => $this->hasFocus()]);
    }

    /**
     * The same with some properties changed. Pure.
     *
     * @param  array<string, mixed>  $changes  by the names of the properties
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]); // @phpstan-ignore argument.type
    }
}
