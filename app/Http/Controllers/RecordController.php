<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Record\Freshness;
use App\Record\RecordPresenter;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class RecordController extends Controller
{
    public function __invoke(Request $request, RecordPresenter $presenter, Repository $cache, Freshness $freshness): Response
    {
        $reader = $this->reader($request);
        $request->validate(['kind' => ['sometimes', 'nullable', 'string', 'max:40'], 'first' => ['sometimes', 'boolean']]);
        $kind = $request->filled('kind') ? $request->string('kind')->value() : null;
        $first = $request->boolean('first');
        $rows = $cache->remember(implode('-', ['record', $reader->key(), $kind ?? '*', (int) $first, $freshness->stamp()]), Freshness::KEPT, static fn (): array => $presenter->rows($reader, $kind, $first));

        return Inertia::render('Record', [
            'rows' => $rows,
            'totals' => $presenter->totals($rows),
            'kinds' => $presenter->kinds(),
            'kind' => $kind,
            'first' => $first,
            'withheld' => $presenter->withheld($reader),
        ]);
    }
}
