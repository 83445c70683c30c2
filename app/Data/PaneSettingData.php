<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PaneKind;

final readonly class PaneSettingData
{
    /**
     * @param list<string> $names  of the parameters
     * @param list<int>    $values in the same order
     */
    public function __construct(public PaneKind $kind, public array $names, public array $values, public ?string $symbol)
    {
    }
}
