<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PartRole;

/** A text of an edition, as a reader reads it. */
final readonly class EditionTextData
{
    /**
     * @param string $place    before or after the setups
     * @param string $markdown with what it names put in
     * @param string $html     the same, made safe
     */
    public function __construct(
        public PartRole $role,
        public string $title,
        public string $place,
        public string $markdown,
        public string $html,
    ) {
    }
}
