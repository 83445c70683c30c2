<?php

declare(strict_types=1);

namespace App\Levels;

use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Market\TimeFrame;

/** A level of the cross-check, with the time frame on which it was found. */
final readonly class Check
{
    public string $key;

    public function __construct(public FoundLevel $found, public TimeFrame $timeFrame)
    {
        $this->key = 'found-'.substr(md5(implode('|', [$timeFrame->value, $found->kind->value, $found->price, $found->origin])), 0, 10);
    }
}
