<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The class's question as something that can be answered, and when it was changed after runs had counted. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->string('asks', 40)->nullable();
            $table->timestampTz('asks_changed_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(['asks', 'asks_changed_at']));
    }
};
