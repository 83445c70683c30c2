<?php

declare(strict_types=1);

namespace Watchpost\Core;

/**
 * Input that breaks a rule, with the path of the fault ("setup.stop.price") and what is wrong there.
 */
final class InvalidInput extends \DomainException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
