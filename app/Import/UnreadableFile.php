<?php

declare(strict_types=1);

namespace App\Import;

/** A file that cannot be read at all, with the reason in plain words. */
final class UnreadableFile extends \RuntimeException
{
}
