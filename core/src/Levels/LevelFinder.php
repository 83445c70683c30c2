<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Finds levels of its kind (computations.md, Levels). A new kind is one class, added to {@see CrossCheck}. */
interface LevelFinder
{
    /** @return list<LevelKind> what it finds */
    public function kinds(): array;

    /** @return list<FoundLevel> */
    public function find(LevelInput $input): array;
}
