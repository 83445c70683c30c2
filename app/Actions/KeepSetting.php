<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\AuthorSetting;
use App\Models\User;

/** Keeps a setting of an author until it is changed again. */
final class KeepSetting
{
    /** @param array<mixed> $value */
    public function __invoke(User $author, string $name, array $value): void
    {
        AuthorSetting::query()->updateOrCreate(['author_id' => $author->id, 'name' => $name], ['value' => $value]);
    }
}
