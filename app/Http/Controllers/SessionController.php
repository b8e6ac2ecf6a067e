<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FoundSchool;
use App\Actions\Refused;
use App\Http\Data\PersonData;
use App\Http\Data\SchoolData;
use App\Http\Data\SessionData;
use App\Http\KnownDevice;
use App\Http\NotCommonPassword;
use App\Http\OpenApi\Makes;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Models\SchoolLocale;
use App\Models\SignInProvider;
use App\Models\User;
use App\Policies\Abilities;
use DateTimeImmutable;
use DateTimeZone;
use Gorvan\Core\Reading\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

final class SessionController extends Controller
{
    #[Reads('/api/session', 'session', 'Who is signed in', SessionData::class)]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->describe($request->user()));
    }

    #[Makes('/api/session', 'signIn', 'Signed in', SessionData::class, takes: ['email' => 'string', 'password' => 'string'])]
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:254'], 'password' => ['required', 'string', 'max:200']]);
        $user = SignInProvider::byAddress($given['email']);
        // Whether somebody has this address takes as long to say as that they do not.
        $isRight = $user === null ? Hash::make($given['password']) === '' : Hash::check($given['password'], $user->password);
        if ($user === null || ! $isRight) {
            throw Refused::because(Message::of('session.wrong'), 'password');
        }
        Auth::login($user);
        $request->session()->regenerate();

        return (new JsonResponse($this->describe($request->user())))->withCookie(KnownDevice::with($request, $user->email));
    }

    #[Removes('/api/session', 'signOut', 'Signed out', SessionData::class, status: 200)]
    public function destroy(Request $request): JsonResponse
    {
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse($this->describe(null));
    }

    #[Makes('/api/founding', 'found', 'Founded and signed in', SessionData::class, takes: ['school' => 'string', 'timezone' => 'string', 'locale?' => 'string', 'name' => 'string', 'email' => 'string', 'password' => 'string'])]
    public function found(Request $request, FoundSchool $found): JsonResponse
    {
        if (! FoundSchool::isOpen()) {
            throw Refused::conflict(Message::of('session.founded'));
        }
        $given = $request->validate([
            'school' => ['required', 'string', 'max:120'],
            'timezone' => ['required', 'timezone:all_with_bc'],
            'locale' => ['nullable', 'string', 'max:35'],
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'email', 'max:254'],
            'password' => ['required', 'string', 'min:12', 'max:200', new NotCommonPassword],
        ]);
        $user = $found->first($given['school'], $given['timezone'], $given['name'], $given['email'], $given['password'], SchoolLocale::tryFrom($given['locale'] ?? '') ?? SchoolLocale::Britain);
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

        return new SessionData(false, new PersonData($user->id, $user->name, $user->email, $user->role->value, array_column(Abilities::of($user->role), 'value')), SchoolData::of($school, $today));
    }
}
