<?php

declare(strict_types=1);

namespace App\Data;

/** What a person has set for themselves. */
final readonly class ReaderSettingsData
{
    /** @param list<SignedInData> $sessions where they are signed in */
    public function __construct(
        public string $name,
        public string $address,
        public string $role,
        public bool $mailsEditions,
        public bool $mailsUpdates,
        public bool $mailsAlerts,
        public ?string $webhookUrl,
        public ?string $webhookSecret,
        public ?AccountData $account,
        public ?FeedsData $feeds,
        public array $sessions,
        public bool $canLeave,
    ) {
    }
}
