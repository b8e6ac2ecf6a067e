<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Who is here says more than yes or no, and is said on several devices; what a group needs for a unit of load is
 * learned; an edit whose answer was lost is known again.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('attendances', static function (Blueprint $table): void {
            $table->boolean('is_careful')->default(false)->comment('smaller and with support tonight');
            $table->boolean('is_first_time')->default(false);
            $table->integer('late')->nullable()->comment('minutes after the start at which they came');
            $table->integer('left')->nullable()->comment('minutes after the start at which they went');
            $table->timestampTz('noted_at', 6)->nullable()->comment('when the device noted it: the later one stands, in whatever order they come in');
        });
        Schema::table('form_versions', static fn (Blueprint $table) => $table->char('sent', 26)->nullable()->comment('made on the device: the same change sent twice is made once'));
        Schema::table('groups', static fn (Blueprint $table) => $table->timestampTz('pace_since', 6)->nullable()->comment('lessons that came in before do not teach its pace'));
    }

    public function down(): void
    {
        Schema::table('attendances', static fn (Blueprint $table) => $table->dropColumn(['is_careful', 'is_first_time', 'late', 'left', 'noted_at']));
        Schema::table('form_versions', static fn (Blueprint $table) => $table->dropColumn('sent'));
        Schema::table('groups', static fn (Blueprint $table) => $table->dropColumn('pace_since'));
    }
};
