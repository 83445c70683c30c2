<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration {
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            // what is sent to them; each can be switched off
            $table->boolean('mails_editions')->default(true);
            $table->boolean('mails_updates')->default(true);
            $table->string('webhook_url')->nullable();
            $table->string('webhook_secret', 64)->nullable();
            $table->timestamp('invited_at')->nullable();
            $table->timestamp('joined_at')->nullable();
            // up to when they have seen what changed
            $table->unsignedBigInteger('seen_until')->nullable();
        });

        // One row for each thing that goes to one reader by one way: it goes once, however often its sending is begun.
        Schema::create('deliveries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('channel');
            $table->string('subject');
            $table->unsignedBigInteger('subject_id');
            $table->string('state');
            $table->unsignedInteger('attempts')->default(0);
            $table->string('error')->nullable();
            $table->unsignedBigInteger('claimed_at')->nullable();
            $table->timestamps();
            $table->unique(['user_id', 'channel', 'subject', 'subject_id']);
            $table->index(['subject', 'subject_id', 'state']);
        });

        // The stand-ins for a mail server and for the address of a webhook.
        Schema::create('mailbox_messages', function (Blueprint $table): void {
            $table->id();
            $table->string('to');
            $table->string('subject');
            $table->longText('html');
            $table->longText('text');
            $table->json('headers');
            $table->string('delivery')->nullable()->unique();
            $table->timestamps();
        });
        Schema::create('sink_messages', function (Blueprint $table): void {
            $table->id();
            $table->string('url');
            $table->json('headers');
            $table->longText('body');
            $table->string('delivery')->nullable()->unique();
            $table->timestamps();
        });

        Schema::create('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });

        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
    }

    public function down(): void
    {
        foreach (['sessions', 'password_reset_tokens', 'sink_messages', 'mailbox_messages', 'deliveries'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['mails_editions', 'mails_updates', 'webhook_url', 'webhook_secret', 'invited_at', 'joined_at', 'seen_until']));
    }
};
