<?php

declare(strict_types=1);

namespace App\Publishing;

/** The fingerprint of an edition: SHA-256 of its canonical document, which names the seal of the edition before. */
final class Seal
{
    public static function of(string $document): string
    {
        return hash('sha256', $document);
    }
}
