<?php

declare(strict_types=1);

namespace App\Import;

/** What is wrong with a line of a file: which one, in which field, and why. */
final class LineFault extends \RuntimeException
{
    public function __construct(public readonly string $field, string $reason)
    {
        parent::__construct($reason);
    }
}
