<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Since when the class is shown the answer to its question, on the board and on its tablets. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->timestampTz('answer_told_at')->nullable());
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn('answer_told_at'));
    }
};
