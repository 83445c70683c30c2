<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuthorSetting;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes a reader's account away with everything that is theirs: address, settings, sessions, what was sent to them. Editions
 * and the record hold nothing of readers and stay as they are.
 */
final class RemoveReader
{
    public function __invoke(User $user): void
    {
        DB::transaction(static function () use ($user): void {
            AuthorSetting::query()->where('author_id', $user->id)->delete();
            DB::table('sessions')->where('user_id', $user->id)->delete();
            DB::table('password_reset_tokens')->where('email', $user->email)->delete();
            $user->delete();
        });
    }
}
