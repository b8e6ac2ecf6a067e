<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who was in a group on an earlier day is asked of all its members, and which groups learn a form of all groups. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('group_members', static fn (Blueprint $table) => $table->index(['school_id', 'group_id']));
        Schema::table('groups', static fn (Blueprint $table) => $table->index(['school_id', 'form_id']));
    }

    public function down(): void
    {
        Schema::table('group_members', static fn (Blueprint $table) => $table->dropIndex(['school_id', 'group_id']));
        Schema::table('groups', static fn (Blueprint $table) => $table->dropIndex(['school_id', 'form_id']));
    }
};
