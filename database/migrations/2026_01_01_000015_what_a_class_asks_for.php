<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the attribute that a class asks about should be better at, and the two kinds where kinds are compared. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->string('asks_outcome', 20)->nullable();
            $table->string('asks_from', 80)->nullable();
            $table->string('asks_to', 80)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(['asks_outcome', 'asks_from', 'asks_to']));
    }
};
