<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Gorvan', description: 'What the pages of Gorvan read and write. Cookie session; same origin.')]
#[OA\Response(response: 'Problem', description: 'What is wrong, where, and what to do', content: new OA\JsonContent(ref: \App\Http\Data\ProblemData::class))]
abstract class Controller
{
    /** Whoever sent the request; the routes let no one else in. */
    protected function person(Request $request): User
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);

        return $user;
    }
}
