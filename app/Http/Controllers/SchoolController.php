<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdoptFactor;
use App\Actions\SaveWarmUps;
use App\Http\Data\ReliabilityPage;
use App\Http\Data\WarmUpListData;
use App\Http\ReliabilityPages;
use App\Models\CurrentSchool;
use App\School\Requests\AdoptedFactor;
use App\School\Requests\SchoolChange;
use App\School\Requests\SentWarmUps;
use App\Shared\Description\Operation;
use Gorvan\Core\Care\WarmUpList;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What holds for the whole school: its warm-ups, and whether its forecasts were true. */
final class SchoolController extends Controller
{
    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Operation('keepSchool', 'Kept', status: 204)]
    public function keep(SchoolChange $sent): Response
    {
        $this->school->get()->update(['name' => $sent->name, 'locale' => $sent->locale]);

        return response()->noContent();
    }

    #[Operation('warmUps', 'The warm-ups', WarmUpListData::class)]
    public function warmUps(): JsonResponse
    {
        return new JsonResponse(WarmUpListData::of($this->school->get()));
    }

    #[Operation('saveWarmUps', 'Kept', WarmUpListData::class, mayConflict: true)]
    public function saveWarmUps(SentWarmUps $sent, SaveWarmUps $save): JsonResponse
    {
        $save(WarmUpList::read($sent->list), $sent->version);

        return new JsonResponse(WarmUpListData::of($this->school->get()));
    }

    #[Operation('reliability', 'Whether the forecasts were true', ReliabilityPage::class)]
    public function forecast(ReliabilityPages $pages): JsonResponse
    {
        return new JsonResponse($pages->now());
    }

    #[Operation('adoptFactor', 'Adopted, or taken back', status: 204)]
    public function adopt(AdoptedFactor $sent, AdoptFactor $adopt): Response
    {
        $adopt($sent->factor);

        return response()->noContent();
    }
}
