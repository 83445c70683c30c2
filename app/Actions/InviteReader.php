<?php

declare(strict_types=1);

namespace App\Actions;

use App\Delivery\Invitation;
use App\Enums\Role;
use App\Models\User;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

/** Gives someone a tier and sends them a way to set their password; done again, the way is sent anew. */
final class InviteReader
{
    public function __invoke(string $name, string $email, string $tier): User
    {
        return DB::transaction(static function () use ($name, $email, $tier): User {
            $email = Str::lower(trim($email));
            $user = User::query()->where('email', $email)->first() ?? User::query()->create([
                'name' => trim($name),
                'email' => $email,
                'password' => Str::random(40),
                'role' => Role::Subscriber,
                'tier' => $tier,
                'invited_at' => now(),
            ])->refresh();
            if ($user->joined_at === null) {
                $broker = Password::broker('invitations');
                $token = $broker instanceof PasswordBroker ? $broker->createToken($user) : throw new \LogicException('Invitations are kept by tokens.');
                $user->notify(new Invitation($token));
            }

            return $user;
        });
    }
}
