<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Edition;

/** Some editions of the archive. */
final readonly class ArchivePage
{
    /**
     * @param list<Edition> $editions the newest first
     * @param int|null      $older    the number before which there are more
     */
    public function __construct(public array $editions, public ?int $older)
    {
    }
}
