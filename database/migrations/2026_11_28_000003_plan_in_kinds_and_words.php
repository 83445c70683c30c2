<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('plans', function (Blueprint $table): void {
            $table->string('kind')->default('daily');
            // the last session of a plan for several
            $table->string('through_date', 10)->nullable();
            // the author says that it comes after its session has opened
            $table->boolean('is_late')->default(false);
            $table->json('parts')->default('[]');
            // counts every change, also one that is undone: what was seen before it is stale
            $table->unsignedInteger('revision')->default(0);
        });
        Schema::table('plan_changes', function (Blueprint $table): void {
            $table->foreignId('user_id')->nullable()->constrained();
            $table->unsignedInteger('revision')->default(0);
        });
        Schema::table('users', function (Blueprint $table): void {
            // of several drafts the one in hand
            $table->foreignId('chosen_plan_id')->nullable()->constrained('plans')->nullOnDelete();
        });
        Schema::table('editions', function (Blueprint $table): void {
            $table->string('kind')->default('daily');
        });
        // Pictures in the words of a plan, by the fingerprint of their bytes.
        Schema::create('attachments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->constrained('users');
            $table->string('hash', 64)->unique();
            $table->string('type', 40);
            $table->string('name', 120);
            $table->timestamps();
        });
        // what undo kept lacks the words
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::dropIfExists('attachments');
        Schema::table('editions', static fn (Blueprint $table) => $table->dropColumn('kind'));
        Schema::table('users', static fn (Blueprint $table) => $table->dropConstrainedForeignId('chosen_plan_id'));
        Schema::table('plan_changes', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('user_id');
            $table->dropColumn('revision');
        });
        Schema::table('plans', static fn (Blueprint $table) => $table->dropColumn(['kind', 'through_date', 'is_late', 'parts', 'revision']));
    }
};
