<?php

declare(strict_types=1);

namespace App\Http\Data;

use Gorvan\Core\Form\Audit\AcceptedFinding;
use Gorvan\Core\Form\Audit\Finding;
use Gorvan\Core\Form\Audit\FormAudit;
use Gorvan\Core\Form\Form;

/** A form checked like a score. */
final readonly class AuditData
{
    /**
     * @param  list<FindingData>  $findings
     * @param  list<FindingData>  $accepted
     */
    public function __construct(
        public array $findings,
        public array $accepted,
        public TotalsData $totals,
    ) {
    }

    public static function of(Form $form): self
    {
        $audit = FormAudit::of($form);

        return new self(
            array_map(static fn (Finding $finding): FindingData => FindingData::of($finding, $form), $audit->open),
            array_map(static fn (AcceptedFinding $one): FindingData => FindingData::of($one->finding, $form, $one->reason), $audit->accepted),
            new TotalsData(...get_object_vars($audit->totals)),
        );
    }
}
