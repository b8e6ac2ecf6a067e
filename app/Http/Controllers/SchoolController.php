<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdoptFactor;
use App\Actions\SaveWarmUps;
use App\Http\Data\ReliabilityPage;
use App\Http\Data\WarmUpListData;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\ReliabilityPages;
use App\Models\CurrentSchool;
use App\Models\SchoolLocale;
use Gorvan\Core\Care\WarmUpList;
use Gorvan\Core\Reading\JsonNode;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** What holds for the whole school: its warm-ups, and whether its forecasts were true. */
final class SchoolController extends Controller
{
    private const MOST_VERSIONS = 1_000_000;

    public function __construct(private readonly CurrentSchool $school)
    {
    }

    #[Puts('/api/school', 'keepSchool', 'Kept', takes: ['name' => 'string', 'locale' => 'enum:en-GB,en-IE,en-US,en-CA,en-AU,en-NZ,en-IN,en-ZA,en-SG'], status: 204)]
    public function keep(Request $request): Response
    {
        $this->school->get()->update($request->validate([
            'name' => ['required', 'string', 'max:120'],
            'locale' => ['required', Rule::enum(SchoolLocale::class)],
        ]));

        return response()->noContent();
    }

    #[Reads('/api/school/warm-ups', 'warmUps', 'The warm-ups', WarmUpListData::class)]
    public function warmUps(): JsonResponse
    {
        return new JsonResponse(WarmUpListData::of($this->school->get()));
    }

    #[Puts('/api/school/warm-ups', 'saveWarmUps', 'Kept', WarmUpListData::class, takes: ['version' => 'integer', 'list' => 'any'], mayConflict: true)]
    public function saveWarmUps(Request $request, SaveWarmUps $save): JsonResponse
    {
        $sent = JsonNode::parse($request->getContent());
        $save(WarmUpList::read($sent->required('list')), $sent->required('version')->whole(0, self::MOST_VERSIONS));

        return new JsonResponse(WarmUpListData::of($this->school->get()));
    }

    #[Reads('/api/school/forecast', 'reliability', 'Whether the forecasts were true', ReliabilityPage::class)]
    public function forecast(ReliabilityPages $pages): JsonResponse
    {
        return new JsonResponse($pages->now());
    }

    #[Puts('/api/school/forecast/factor', 'adoptFactor', 'Adopted, or taken back', takes: ['factor' => 'number|null'], status: 204)]
    public function adopt(Request $request, AdoptFactor $adopt): Response
    {
        $given = $request->validate(['factor' => ['present', 'nullable', 'numeric']]);
        $adopt($given['factor'] === null ? null : (float) $given['factor']);

        return response()->noContent();
    }
}
