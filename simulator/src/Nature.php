<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** What drives a listing. */
enum Nature
{
    /** The whole market, its group, and a life of its own. */
    case Share;
    /** The market as it is. */
    case Index;
    /** What it tracks, by a multiple. */
    case Tracker;
    /** The strength of two currencies. */
    case Pair;
    /** A life of its own. */
    case Goods;
    /** The fear in the market. */
    case Gauge;
    /** A slow tide of its own. */
    case Yield;
}
