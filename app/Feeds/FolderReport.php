<?php

declare(strict_types=1);

namespace App\Feeds;

/** What was done with a file of the watched folder. */
final readonly class FolderReport
{
    public function __construct(public string $file, public bool $taken, public string $words)
    {
    }
}
