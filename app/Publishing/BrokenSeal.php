<?php

declare(strict_types=1);

namespace App\Publishing;

/** The stored document of an edition is not the one that was sealed. */
final class BrokenSeal extends \RuntimeException
{
    public static function of(int $number): self
    {
        return new self("Edition {$number} does not match its seal. It is not shown or judged until the sealed document is restored.");
    }
}
