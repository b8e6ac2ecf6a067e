<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Health;
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
            return self::says('the database does not answer', 503);
        }

        return Health::isFull() ? self::says('full: nothing can be written', 503) : self::says('up', 200);
    }

    private static function says(string $what, int $status): Response
    {
        return new Response($what, $status, ['Content-Type' => 'text/plain', 'Cache-Control' => 'no-store']);
    }
}
