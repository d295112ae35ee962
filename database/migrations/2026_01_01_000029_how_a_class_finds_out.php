<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** How a class goes about its question: which two are compared, who builds which, and how far all fill their balloons. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static function (Blueprint $table): void {
            $table->string('design', 20)->default('free');
            $table->string('design_one', 80)->nullable();
            $table->string('design_other', 80)->nullable();
            $table->boolean('is_mass_even')->default(false);
        });
        Schema::table('groups', static function (Blueprint $table): void {
            $table->boolean('builds_other')->nullable();
            $table->string('asked_attribute', 60)->nullable();
            $table->string('asked_to', 80)->nullable();
        });
        Schema::table('plans', static function (Blueprint $table): void {
            $table->double('fill_m')->nullable();
            $table->string('fill_entered', 40)->nullable();
        });
        // Who planned tries after a change asked for one.
        DB::table('challenges')->whereNotNull('asks')
            ->whereIn('id', DB::table('plans')->where('tries_again', '>', 0)->select('challenge_id'))
            ->update(['design' => 'change_one_thing']);
    }

    public function down(): void
    {
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn(['fill_m', 'fill_entered']));
        Schema::table('groups', static fn(Blueprint $table) => $table->dropColumn(['builds_other', 'asked_attribute', 'asked_to']));
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn(
            ['design', 'design_one', 'design_other', 'is_mass_even'],
        ));
    }
};
