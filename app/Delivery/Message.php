<?php

declare(strict_types=1);

namespace App\Delivery;

/** What is delivered, as one kind of reader reads it. */
final readonly class Message
{
    /**
     * @param string               $path     where it can be read in the application
     * @param string               $markdown its words
     * @param array<string, mixed> $facts    the same for a program
     */
    public function __construct(public string $title, public string $path, public string $markdown, public array $facts)
    {
    }
}
