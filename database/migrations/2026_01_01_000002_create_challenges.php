<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('challenges', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->string('question', 300)->nullable();
            $table->string('goal', 20);
            $table->string('scoring', 20);
            $table->smallInteger('tries');
            $table->double('lane_length_m');
            $table->string('lane_length_entered', 60);
            $table->double('timed_length_m')->nullable();
            $table->string('timed_length_entered', 60)->nullable();
            $table->string('surface', 80)->nullable();
            $table->string('units', 20);
            $table->timestampsTz();
            $table->softDeletesTz();
        });
        DB::statement(<<<'SQL'
            ALTER TABLE challenges
                ADD CHECK (goal IN ('farthest', 'fastest')),
                ADD CHECK (scoring IN ('best', 'mean', 'median')),
                ADD CHECK (units IN ('metric', 'imperial')),
                ADD CHECK (tries BETWEEN 1 AND 20),
                ADD CHECK (lane_length_m BETWEEN 0.5 AND 100),
                ADD CHECK (timed_length_m BETWEEN 0.5 AND 100),
                ADD CHECK (goal <> 'fastest' OR timed_length_m IS NOT NULL),
                ADD CHECK ((timed_length_m IS NULL) = (timed_length_entered IS NULL))
            SQL);
    }

    public function down(): void
    {
        Schema::drop('challenges');
    }
};
