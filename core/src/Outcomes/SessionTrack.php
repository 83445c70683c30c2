<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Setups\SessionStart;

/** The session in which a run stands, from base bar to base bar. Prices are those of the long. */
final class SessionTrack
{
    private ?Session $session = null;
    private ?int $open = null;
    private ?int $previousClose = null;
    private int $sign = 1;
    private ?int $lastClose = null;
    /** Whether the close of the session has been judged. */
    public bool $over = true;
    /** Whether the last bar taken is the first of its session. */
    public bool $first = false;

    public function session(): ?Session
    {
        return $this->session;
    }

    public function start(): ?SessionStart
    {
        return $this->open === null ? null : new SessionStart($this->open, $this->previousClose, $this->sign);
    }

    /** Whether a bar that follows belongs to a later session, while the close of this one has not been judged. */
    public function endsBefore(Bar $next): bool
    {
        return ! $this->over && $this->session !== null && $next->session !== $this->session->date;
    }

    public function isOverBy(int $moment): bool
    {
        return ! $this->over && $this->session !== null && $this->session->close <= $moment;
    }

    public function enter(Bar $bar, SessionBook $book, int $sign): void
    {
        $this->first = $this->session?->date !== $bar->session;
        if ($this->first) {
            $this->session = $book->of($bar->session, $bar->start);
            $this->open = $bar->open;
            $this->previousClose = $this->lastClose;
            $this->sign = $sign;
            $this->over = false;
        }
        $this->lastClose = $bar->close;
    }

    /** Whether the session closes with a bar. */
    public function closesWith(Bar $bar): bool
    {
        return ! $this->over && $this->session !== null && $bar->end >= $this->session->close;
    }

    /** @return array{array{string, int, int}|null, ?int, ?int, ?int, bool} */
    public function toState(): array
    {
        return [
            $this->session === null ? null : [$this->session->date, $this->session->open, $this->session->close],
            $this->open,
            $this->previousClose,
            $this->lastClose,
            $this->over,
        ];
    }

    /** @param array{array{string, int, int}|null, ?int, ?int, ?int, bool} $state */
    public static function fromState(array $state, int $sign): self
    {
        $track = new self();
        $track->session = $state[0] === null ? null : new Session(...$state[0]);
        [, $track->open, $track->previousClose, $track->lastClose, $track->over] = $state;
        $track->sign = $sign;

        return $track;
    }
}
