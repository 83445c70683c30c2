<?php

declare(strict_types=1);

namespace Tests\Feature;

use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;

final class AccountTest extends TestCase
{
    use World;

    public function testAReaderSizesTheSetupsForTheirOwnAccountAndNobodyElseDoes(): void
    {
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        $url = "/editions/{$edition->number}";
        $this->actingAs($this->harbour)->get($url)->assertInertia(fn (AssertableInertia $page) => $page->where('account', null)->where('edition.parts.0.setups.0.size', []));

        $this->patch('/settings/account', ['value' => 20_000, 'riskPercent' => 1])->assertRedirect();
        $risk = (float) $this->price('OAKL.Q', 0.005) - (float) $this->price('OAKL.Q', -0.03);
        $units = (int) floor(200 / $risk);
        $this->get($url)->assertInertia(fn (AssertableInertia $page) => $page
            ->where('account.value', 20_000)
            ->where('edition.parts.0.setups.0.size.0.value', number_format($units).' units')
            ->where('edition.parts.0.setups.0.size.1.label', 'At the stop'));
        $this->actingAs($this->pilot)->get($url)->assertInertia(fn (AssertableInertia $page) => $page->where('account', null)->where('edition.parts.0.setups.0.size', []));
        self::assertStringNotContainsString('20000', $edition->refresh()->document);
    }

    public function testAnAccountTooSmallForOneLotIsToldSo(): void
    {
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        $this->actingAs($this->harbour)->patch('/settings/account', ['value' => 100, 'riskPercent' => 0.01]);
        $this->get("/editions/{$edition->number}")->assertInertia(fn (AssertableInertia $page) => $page->where('edition.parts.0.setups.0.size.0.value', 'none'));
    }

    public function testWhatIsNoAccountIsRefusedAndTheOldOneStays(): void
    {
        $this->actingAs($this->harbour)->patch('/settings/account', ['value' => 20_000, 'riskPercent' => 1]);
        $this->patch('/settings/account', ['value' => 1, 'riskPercent' => 50])->assertSessionHasErrors(['value', 'riskPercent']);
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        $this->get("/editions/{$edition->number}")->assertInertia(fn (AssertableInertia $page) => $page->where('account.value', 20_000));
    }
}
