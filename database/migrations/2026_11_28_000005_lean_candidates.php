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
            // the side the author leans to before there is a setup
            $table->string('side')->nullable();
        });
        // what undo kept lacks the new column
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::table('candidates', static fn (Blueprint $table) => $table->dropColumn('side'));
    }
};
