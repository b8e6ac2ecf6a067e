<?php

declare(strict_types=1);

namespace Gorvan\Core\Term;

use Gorvan\Core\Form\Form;
use Gorvan\Core\Reading\JsonNode;

/** The problem file of `gorvan:review` (docs/formats/commands.md). */
final readonly class ReviewFile
{
    private const MOST_MINUTES = 1440;

    private const MOST_VALUE = 1_000_000;

    /** @param  list<\Gorvan\Core\Reading\Message>  $warnings */
    private function __construct(public ReviewProblem $problem, public array $warnings)
    {
    }

    /** @throws \Gorvan\Core\Reading\BadInput with the JSON path */
    public static function read(string $json): self
    {
        $root = JsonNode::parse($json);
        $warnings = $root->unknown(['entries', 'budget', 'setup', 'price']);
        $items = [];
        foreach ($root->required('entries')->itemsAtMost(Form::MAX_ENTRIES) as $node) {
            if ($node->value === null) {
                $items[] = null;

                continue;
            }
            array_push($warnings, ...$node->unknown(['value', 'minutes', 'price']));
            $items[] = new ReviewItem($node->required('value')->number(-self::MOST_VALUE, self::MOST_VALUE), $node->required('minutes')->number(0, self::MOST_MINUTES), $node->optional('price')?->number(0, self::MOST_VALUE));
        }

        return new self(new ReviewProblem(
            $items,
            $root->required('budget')->number(0, self::MOST_MINUTES),
            $root->optional('setup')?->number(0, self::MOST_MINUTES) ?? ReviewProblem::SET_UP,
            price: $root->optional('price')?->number(0, self::MOST_VALUE) ?? 0.0,
        ), $warnings);
    }
}
