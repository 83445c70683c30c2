<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\Role;

final readonly class PersonData
{
    public function __construct(public string $name, public Role $role, public ?string $tier, public bool $mayPlan, public bool $mayPublish, public bool $mayPlayMarket)
    {
    }
}
