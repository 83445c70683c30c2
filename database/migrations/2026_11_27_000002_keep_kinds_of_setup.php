<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('setup_kinds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->string('name');
            // the defaults of its setups; null while it has none
            $table->json('template')->nullable();
            $table->json('checklist')->default('[]');
            // laid aside, not deleted: setups of earlier plans and what undo kept still name it
            $table->unsignedBigInteger('retired_at')->nullable();
        });
        Schema::table('setups', function (Blueprint $table): void {
            $table->foreignId('setup_kind_id')->nullable()->constrained();
            $table->json('ticked')->default('[]');
        });
        Schema::table('published_setups', function (Blueprint $table): void {
            $table->string('kind')->default('');
        });
        // what undo kept lacks the new columns
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::table('published_setups', static fn (Blueprint $table) => $table->dropColumn('kind'));
        Schema::table('setups', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('setup_kind_id');
            $table->dropColumn('ticked');
        });
        Schema::dropIfExists('setup_kinds');
    }
};
