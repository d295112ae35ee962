<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether a try in which the car did not start is void, or counts as no distance at all. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->boolean('no_start_is_zero')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn('no_start_is_zero'));
    }
};
