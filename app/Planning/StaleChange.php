<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Validation\ValidationException;

/** Two people work on one plan: what one would change was changed by the other since it was seen. Nothing is kept of the later one. */
final class StaleChange
{
    public const FIELD = 'stale';

    /** @param list<string> $theirs labels of what the other did, in order */
    public static function refuse(string $who, array $theirs, string $yours): ValidationException
    {
        return ValidationException::withMessages([self::FIELD => "{$who} changed this since you opened it: ".implode('; ', array_unique($theirs)).". Your change, {$yours}, is not kept. What you see now is how it stands: make it again if it still holds."]);
    }

    /** Of a text, whose present words are told so that both can be laid side by side. */
    public static function refuseText(string $present): ValidationException
    {
        return ValidationException::withMessages([self::FIELD => 'Someone else changed this text since you opened it. Yours is not kept yet.', 'theirs' => $present]);
    }
}
