<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::create('tiers', function (Blueprint $table): void {
            $table->id();
            $table->string('key', 30)->unique();
            $table->string('name', 40)->unique();
            $table->unsignedInteger('rank')->unique();
            $table->string('sees');
            $table->unsignedInteger('opens_after_hours')->nullable();
        });
        // an editable start; sealed editions know the two that readers subscribe to by these keys
        DB::table('tiers')->insert([
            ['key' => 'visitors', 'name' => 'Visitors', 'rank' => 0, 'sees' => 'headline'],
            ['key' => 'harbour', 'name' => 'Harbour', 'rank' => 10, 'sees' => 'full'],
            ['key' => 'pilot', 'name' => 'Pilot', 'rank' => 20, 'sees' => 'full'],
        ]);
    }

    public function down(): void
    {
        Schema::dropIfExists('tiers');
    }
};
