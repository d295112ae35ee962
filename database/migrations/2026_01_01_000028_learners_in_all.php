<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A class has as many learners as it has: they need not come out even in groups. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('learners')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plans', static function (Blueprint $table): void {
            $table->dropColumn('learners');
        });
    }
};
