<?php

declare(strict_types=1);

namespace App\Delivery;

use Illuminate\Support\Str;

/** What is delivered, as one kind of reader reads it. */
final readonly class Message
{
    /** Its words as a page. */
    public string $html;

    /**
     * @param string               $path     where it can be read in the application
     * @param string               $markdown its words
     * @param array<string, mixed> $facts    the same for a program
     */
    public function __construct(public string $title, public string $path, public string $markdown, public array $facts)
    {
        $this->html = (string) Str::markdown($markdown, ['html_input' => 'strip']);
    }
}
