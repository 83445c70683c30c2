<?php

declare(strict_types=1);

namespace App\Import;

/**
 * The rows of a kind of file: each line is read and checked by itself and against the lines before it. Rows taken are
 * kept until they are written or dropped.
 */
interface Rows
{
    /** @throws LineFault */
    public function take(Line $line, int $number): void;

    /**
     * What a preview shows of the row taken last.
     *
     * @return array<string, string> by field
     */
    public function last(): array;

    /** Writes the rows kept. */
    public function write(Tally $tally): void;

    /** Lets go of the rows kept; what was seen stays known. */
    public function drop(): void;
}
