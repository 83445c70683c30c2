<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Json\Node;

/** No earnings fall into the time for which it is planned, and so many sessions after it. */
final readonly class NoEarnings implements Judge
{
    private function __construct(private int $after)
    {
    }

    public static function kinds(): array
    {
        return ['no_earnings' => 'no earnings in its time, and sessions after'];
    }

    public static function read(string $kind, Node $value): self
    {
        $after = $value->decimal();
        if ($after->hasNonZeroFractionalPart() || $after->isNegative()) {
            throw $value->fail('write a whole number of sessions, 0 for none');
        }

        return new self($after->toInt());
    }

    public function describe(): string
    {
        return 'no earnings fall into its time'.match ($this->after) {
            0 => '',
            1 => ' or the session after it',
            default => " or the {$this->after} sessions after it",
        };
    }

    public function judge(Evening $evening): Verdict
    {
        $in = $evening->earningsIn;

        return Verdict::planned($in === null || $in > $evening->hold + $this->after, match ($in) {
            null => 'none in sight',
            1 => 'in the next session',
            default => "in {$in} sessions",
        });
    }
}
