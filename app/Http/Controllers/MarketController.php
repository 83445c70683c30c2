<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSetting;
use App\Actions\WeighEvent;
use App\Enums\AverageKind;
use App\Models\Instrument;
use App\Models\MarketEvent;
use App\Planning\CurrentPlan;
use App\Planning\WorkbenchPresenter;
use App\Reading\MarketPresenter;
use App\Reading\MarketSettings;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

/** The step Market. */
final class MarketController extends Controller
{
    public function show(Request $request, CurrentPlan $current, MarketPresenter $market, WorkbenchPresenter $plans): Response
    {
        $author = $this->author($request);
        $plan = $current->of($author);

        return Inertia::render('Market', ['plan' => $plans->plan($plan), 'market' => $market->of($author, $plan)]);
    }

    public function settings(Request $request, KeepSetting $keep): RedirectResponse
    {
        /** @var array{gauges: list<string>, order: list<array{kind: string, period: int}>} $value */
        $value = $request->validate([
            'gauges' => ['present', 'array', 'max:'.MarketSettings::MOST_GAUGES],
            'gauges.*' => ['string', 'distinct', Rule::exists(Instrument::class, 'symbol')],
            'order' => ['required', 'array', 'between:1,5'],
            'order.*.kind' => ['required', Rule::enum(AverageKind::class)],
            'order.*.period' => ['required', 'integer', 'between:2,400'],
        ], [
            'gauges.max' => 'At most '.MarketSettings::MOST_GAUGES.' gauges are shown.',
            'gauges.*.distinct' => 'This gauge is shown already.',
            'order.*.period' => 'An average is taken over 2 to 400 sessions.',
        ]);
        $keep($this->author($request), MarketSettings::NAME, $value);

        return back();
    }

    public function weigh(Request $request, MarketEvent $event, WeighEvent $weigh): RedirectResponse
    {
        $request->validate(['weight' => ['required', 'integer', 'between:0,'.WeighEvent::MOST], 'note' => ['present', 'nullable', 'string', 'max:200']]);
        $weigh($this->author($request), $event, $request->integer('weight'), $request->string('note')->value());

        return back();
    }
}
