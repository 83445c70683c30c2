<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The arrows of architecture.md point one way: app -> simulator -> core. Checked by PHPStan, through phpat. */
final class ArrowsTest
{
    public function test_core_knows_nothing_but_itself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Watchpost\Core'))
            ->excluding(Selector::inNamespace('Watchpost\Core\Tests'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Watchpost\Core'), Selector::inNamespace('Brick\Math'), Selector::isStandardClass())
            ->because('the rules are free of framework, database and interface');
    }

    public function test_simulator_knows_core_alone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Watchpost\Simulator'))
            ->excluding(Selector::inNamespace('Watchpost\Simulator\Tests'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Watchpost\Simulator'), Selector::inNamespace('Watchpost\Core'), Selector::isStandardClass())
            ->because('the made-up exchange can be replaced by a real one');
    }

    public function test_models_hold_no_rules(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Http'), Selector::classname('Watchpost\Core\Outcomes\OutcomeEngine'))
            ->because('models persist and relate; actions decide');
    }

    public function test_actions_do_not_know_the_web(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Actions'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Inertia'))
            ->because('an action can be taken from a page, a command or a queue');
    }
}
