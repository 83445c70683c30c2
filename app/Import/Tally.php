<?php

declare(strict_types=1);

namespace App\Import;

/** What came of the rows of a file. */
final class Tally
{
    public int $added = 0;
    public int $unchanged = 0;
    /** Rows that replaced other figures. */
    public int $corrected = 0;
    /** Rows with other figures than those a published setup was judged on: kept beside them. */
    public int $heldBack = 0;

    public function __construct(public readonly ?int $importId = null)
    {
    }
}
