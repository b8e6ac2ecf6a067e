<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FoundSchool;
use App\Actions\Refused;
use App\Http\Data\PersonData;
use App\Http\Data\SchoolData;
use App\Http\Data\SessionData;
use App\Models\School;
use App\Models\User;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    #[OA\Get(path: '/api/session', operationId: 'session', responses: [new OA\Response(response: 200, description: 'Who is signed in', content: new OA\JsonContent(ref: SessionData::class))])]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->describe($request->user()));
    }

    #[OA\Post(path: '/api/session', operationId: 'signIn', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: SessionData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:254'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::attempt(['email' => mb_strtolower(trim($given['email'])), 'password' => $given['password']])) {
            throw Refused::because('No one signs in with this address and password. Check both; the password is case-sensitive.', 'password');
        }
        $request->session()->regenerate();

        return new JsonResponse($this->describe($request->user()));
    }

    #[OA\Delete(path: '/api/session', operationId: 'signOut', responses: [new OA\Response(response: 200, description: 'Signed out', content: new OA\JsonContent(ref: SessionData::class))])]
    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse($this->describe(null));
    }

    #[OA\Post(path: '/api/founding', operationId: 'found', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['school', 'timezone', 'name', 'email', 'password'], properties: [new OA\Property(property: 'school', type: 'string'), new OA\Property(property: 'timezone', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'email', type: 'string'), new OA\Property(property: 'password', type: 'string')])), responses: [new OA\Response(response: 200, description: 'Founded and signed in', content: new OA\JsonContent(ref: SessionData::class)), new OA\Response(response: 422, ref: '#/components/responses/Problem')])]
    public function found(Request $request, FoundSchool $found): JsonResponse
    {
        if (! $this->needsFounding()) {
            throw Refused::conflict('This installation has a school already. Sign in instead.');
        }
        $given = $request->validate([
            'school' => ['required', 'string', 'max:120'],
            'timezone' => ['required', 'timezone:all_with_bc'],
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:254'],
            'password' => ['required', 'string', 'min:10', 'max:200'],
        ]);
        Auth::login($found($given['school'], $given['timezone'], $given['name'], $given['email'], $given['password']));
        $request->session()->regenerate();

        return new JsonResponse($this->describe($request->user()));
    }

    private function describe(mixed $user): SessionData
    {
        if (! $user instanceof User) {
            return new SessionData($this->needsFounding(), null, null);
        }
        $today = DateTimeImmutable::createFromInterface(now())->setTimezone(new DateTimeZone($user->school->timezone))->format('Y-m-d');

        return new SessionData(false, new PersonData($user->id, $user->name, $user->email, $user->role->value), SchoolData::of($user->school, $today));
    }

    private function needsFounding(): bool
    {
        return config('gorvan.founding') === true && ! School::exists();
    }
}
