<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A run that passed the end of the lane went at least as far as it says. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('runs', static function (Blueprint $table): void {
            $table->boolean('past_end')->default(false);
        });
        DB::statement('ALTER TABLE runs ADD CHECK (NOT past_end OR (distance_m IS NOT NULL AND void_reason IS NULL))');
    }

    public function down(): void
    {
        Schema::table('runs', static fn(Blueprint $table) => $table->dropColumn('past_end'));
    }
};
