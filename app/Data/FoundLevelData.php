<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Levels\LevelKind;

/** The evidence of a level of the cross-check. */
final readonly class FoundLevelData
{
    /**
     * @param string          $why     in one line
     * @param list<TouchData> $touches the latest first
     * @param list<string>    $members what was joined in it
     * @param list<float|null> $curve   of a line, its value at the last day bars and at the next one; else empty
     */
    public function __construct(public string $key, public LevelKind $kind, public string $why, public string $score, public array $touches, public array $members, public array $curve)
    {
    }
}
