<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use PDOException;

/** Whether all that is needed is there, for whoever looks after it. */
final class HealthController extends Controller
{
    public function __invoke(): Response
    {
        try {
            DB::select('select 1');
        } catch (PDOException) {
            return new Response('the database does not answer', 503, ['Content-Type' => 'text/plain', 'Cache-Control' => 'no-store']);
        }

        return new Response('up', 200, ['Content-Type' => 'text/plain', 'Cache-Control' => 'no-store']);
    }
}
