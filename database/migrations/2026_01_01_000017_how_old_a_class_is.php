<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How old a class is, by Challenge\Age: its own pages are worded by that. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->string('age', 8)->default('10-14'));
        DB::statement("ALTER TABLE challenges ADD CONSTRAINT challenges_age_check CHECK (age IN ('7-9', '10-14'))");
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn('age'));
    }
};
