<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FoundSchool;
use App\Actions\Refused;
use App\Http\Data\PersonData;
use App\Http\Data\SchoolData;
use App\Http\Data\SessionData;
use App\Http\KnownDevice;
use App\Models\SchoolLocale;
use App\Models\SignInProvider;
use App\Models\User;
use App\Policies\Abilities;
use App\School\Requests\Credentials;
use App\School\Requests\NewSchool;
use App\Shared\Description\Operation;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

final class SessionController extends Controller
{
    #[Operation('session', 'Who is signed in', SessionData::class)]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->describe($request->user()));
    }

    #[Operation('signIn', 'Signed in', SessionData::class)]
    public function store(Request $request, Credentials $sent): JsonResponse
    {
        $user = SignInProvider::byAddress($sent->email);
        // Whether somebody has this address takes as long to say as that they do not.
        $isRight = $user === null ? Hash::make($sent->password) === '' : Hash::check($sent->password, $user->password);
        if ($user === null || ! $isRight) {
            throw Refused::because(Message::of('session.wrong'), 'password');
        }
        Auth::login($user);
        $request->session()->regenerate();

        return (new JsonResponse($this->describe($request->user())))->withCookie(KnownDevice::with($request, $user->email));
    }

    #[Operation('signOut', 'Signed out', SessionData::class, status: 200)]
    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse($this->describe(null));
    }

    #[Operation('found', 'Founded and signed in', SessionData::class)]
    public function found(Request $request, NewSchool $sent, FoundSchool $found): JsonResponse
    {
        if (! FoundSchool::isOpen()) {
            throw Refused::conflict(Message::of('session.founded'));
        }
        $user = $found->first($sent->school, $sent->timezone, $sent->name, $sent->email, $sent->password, SchoolLocale::tryFrom($sent->locale ?? '') ?? SchoolLocale::Britain);
        Auth::login($user);
        $request->session()->regenerate();

        return (new JsonResponse($this->describe($request->user())))->withCookie(KnownDevice::with($request, $user->email));
    }

    private function describe(mixed $user): SessionData
    {
        if (! $user instanceof User) {
            return new SessionData(FoundSchool::isOpen(), null, null);
        }
        $school = $user->homeSchool();
        $today = DateTimeImmutable::createFromInterface(now())->setTimezone(new DateTimeZone($school->timezone))->format('Y-m-d');

        return new SessionData(false, new PersonData($user->id, $user->name, $user->email, $user->role, Abilities::of($user->role)), SchoolData::of($school, $today));
    }
}
