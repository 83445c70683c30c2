<?php

declare(strict_types=1);

namespace App\Data;

/** A sealed edition, or the preview of one, as a reader of a tier sees it. */
final readonly class EditionData
{
    /**
     * @param string                $kind  of plan, in words
     * @param list<EditionPartData> $parts
     * @param list<EditionTextData> $texts in order
     */
    public function __construct(
        public int $number,
        public bool $isPreview,
        public string $author,
        public string $exchange,
        public string $publishedAt,
        public string $kind,
        public bool $isLate,
        public string $session,
        public string $opens,
        public string $bias,
        public ?string $seal,
        public ?string $previousSeal,
        public array $parts,
        public int $withheld,
        public string $withheldNote,
        public array $texts,
        public bool $readsAll,
        public string $costs,
    ) {
    }
}
