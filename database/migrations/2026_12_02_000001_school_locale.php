<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a school writes days, times and numbers. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('schools', static function (Blueprint $table): void {
            $table->string('locale', 12)->default('en-GB')->comment('BCP 47, of the language of the catalogue');
        });
    }
};
