<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('setups', function (Blueprint $table): void {
            $table->dropUnique(['candidate_id']);
            // the place among the variants of its candidate, from 1
            $table->unsignedTinyInteger('position')->default(1);
            $table->string('name')->default('');
            $table->unique(['candidate_id', 'position']);
        });
        Schema::table('candidates', function (Blueprint $table): void {
            $table->boolean('either_or')->default(true);
        });
        Schema::table('published_setups', function (Blueprint $table): void {
            // the first fill of a group ends what waits of the others
            $table->string('group')->nullable();
        });
        // what undo kept lacks the new columns
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        throw new \LogicException('Several variants cannot be put back into one.');
    }
};
