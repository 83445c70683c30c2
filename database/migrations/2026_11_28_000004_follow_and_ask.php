<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('follows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('published_setup_id')->constrained();
            $table->timestamps();
            $table->unique(['user_id', 'published_setup_id']);
        });

        // A symbol that readers ask for: equal wishes are one request, with everyone who asked.
        Schema::create('symbol_requests', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('instrument_id')->constrained();
            $table->string('state')->index();
            $table->string('reason', 200)->default('');
            $table->foreignId('edition_id')->nullable()->constrained();
            $table->timestamps();
        });
        Schema::create('askers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('symbol_request_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('note', 200)->default('');
            $table->unsignedBigInteger('asked_at');
            $table->unique(['symbol_request_id', 'user_id']);
        });

        Schema::table('candidates', function (Blueprint $table): void {
            // where it came from, and with which others it belongs
            $table->string('source')->default('typed');
            $table->string('source_note', 120)->default('');
            $table->string('theme', 60)->default('');
        });
        // what undo kept lacks the new columns
        DB::table('plan_changes')->delete();
        DB::table('plans')->update(['change_position' => 0]);
    }

    public function down(): void
    {
        Schema::table('candidates', static fn (Blueprint $table) => $table->dropColumn(['source', 'source_note', 'theme']));
        foreach (['askers', 'symbol_requests', 'follows'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
