<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('candidates', function (Blueprint $table): void {
            $table->unsignedTinyInteger('conviction')->nullable();
            $table->text('wrong_if')->default('');
            $table->bigInteger('wrong_at')->nullable();
        });
        // what undo kept lacks the new columns
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::table('candidates', function (Blueprint $table): void {
            $table->dropColumn(['conviction', 'wrong_if', 'wrong_at']);
        });
    }
};
