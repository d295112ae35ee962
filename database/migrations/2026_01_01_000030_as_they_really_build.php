<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What drives the cars of a kit, in which of two orders they are built, and what of it is done beforehand. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->jsonb('safety_unread')->default('[]'));
        // One caution became several: who read of knives and of bursting balloons read these.
        foreach (['cutting' => 'knives', 'eyes' => 'jet', 'choking' => 'kitchen', 'bands' => 'small_parts'] as $read => $also) {
            DB::table('challenges')->whereJsonContains('safety_read', $read)
                ->update(['safety_read' => DB::raw("safety_read || '[\"{$also}\"]'::jsonb")]);
        }
        Schema::table('plans', static function (Blueprint $table): void {
            $table->string('kit_source', 20)->default('balloon');
            $table->string('points', 20)->default('first');
            $table->string('mount_order', 20)->default('balloon first');
            $table->jsonb('prepared')->default('[]');
            $table->unsignedSmallInteger('helpers')->default(1);
        });
    }

    public function down(): void
    {
        Schema::table('challenges', static fn(Blueprint $table) => $table->dropColumn('safety_unread'));
        Schema::table('plans', static fn(Blueprint $table) => $table->dropColumn(
            ['kit_source', 'points', 'mount_order', 'prepared', 'helpers'],
        ));
    }
};
