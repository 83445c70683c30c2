<!DOCTYPE html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <title>{{ $edition->kind }} {{ $edition->number }}, {{ $edition->session }}</title>
        <style>
            @page { margin: 18mm 16mm; }
            body { font: 10.5px/15px "DejaVu Serif"; color: #1b2530; }
            h1 { margin: 0; font-size: 20px; line-height: 26px; text-align: center; }
            h2 { margin: 0 0 3px; font-size: 13px; line-height: 18px; }
            h2 span { font-weight: normal; }
            .by { margin: 0; text-align: center; color: #4a5563; }
            .bias { margin: 8px 0; padding: 8px 0; border-top: 2px solid #4a5563; border-bottom: 1px solid #bfb59f; text-align: center; font-style: italic; font-size: 13px; line-height: 19px; }
            .part { padding: 8px 0; border-bottom: 1px solid #bfb59f; }
            .sentence { margin: 0 0 4px; font-size: 12px; line-height: 17px; }
            .muted, .foot { color: #4a5563; }
            .foot { font-size: 8.5px; line-height: 12px; overflow-wrap: break-word; }
            table { border-collapse: collapse; font: 9px/13px "DejaVu Sans"; }
            td, th { padding: 1px 10px 1px 0; border-bottom: 1px solid #d9d0bd; text-align: left; }
            td.n { text-align: right; }
            p { margin: 0 0 4px; }
            img { max-width: 100%; }
        </style>
    </head>
    <body>
        <p class="by">{{ $edition->kind }}, edition {{ $edition->number }}</p>
        <h1>{{ $edition->session }}</h1>
        <p class="by">{{ $edition->author }}, for the {{ $edition->exchange }}, which opens {{ $edition->opens }}</p>
        <p class="by">Published {{ $edition->publishedAt }}{{ $edition->isLate ? ', after the open' : '' }}</p>
        @if ($edition->bias !== '')
            <p class="bias">{{ $edition->bias }}</p>
        @endif
        @foreach (array_filter($texts, static fn ($text) => $text['place'] === 'before') as $text)
            <div class="part"><h2>{{ $text['title'] }}</h2>{!! $text['html'] !!}</div>
        @endforeach
        @foreach ($edition->parts as $i => $part)
            <div class="part">
                <h2>{{ $part->symbol }} <span>{{ $part->name }}, last {{ $part->lastClose }} {{ $part->currency }}</span></h2>
                @if ($part->fullFor !== null)
                    <p>{{ implode(' and ', array_map(static fn ($side) => ucfirst($side->value), $part->sides)) }}{{ $part->sides === [] ? '' : '. ' }}The rest is for {{ $part->fullFor }} readers.</p>
                @elseif ($part->passed)
                    <p>{{ $part->verdict }}</p>
                @endif
                @if ($part->carried !== null)
                    @foreach ($part->carried->setups as $setup)
                        <p class="sentence">{{ ucfirst($part->carried->relation->words()) }} (edition {{ $part->carried->edition }}): {{ $setup->sentence }}</p>
                    @endforeach
                @endif
                @foreach ($part->setups as $setup)
                    <p class="sentence">@if ($setup->name !== '')<b>{{ ucfirst($setup->name) }}:</b> @endif{{ $setup->sentence }}</p>
                @endforeach
                @if ($charts[$i] !== '')
                    <p><img src="{{ $charts[$i] }}" width="640" height="250" alt="Chart of {{ $part->symbol }}"></p>
                @endif
                @foreach ($part->setups as $setup)
                    <table>
                        <tr><td>{{ ucfirst($setup->side->value) }}, {{ $setup->trigger }}</td><td class="n">{{ $setup->entries === [] ? 'the open' : implode(' and ', $setup->entries) }}</td><td class="n">1 R = {{ $setup->risk }}</td></tr>
                        <tr><td>Stop</td><td class="n">{{ $setup->stop }}</td><td class="n">−1 R</td></tr>
                        @foreach ($setup->targets as $n => $target)
                            <tr><td>Target {{ $n + 1 }}, {{ round(100 * (float) $target->share) }} %</td><td class="n">{{ $target->price }}</td><td class="n">{{ $target->r }} R</td></tr>
                        @endforeach
                    </table>
                    @if ($setup->followed !== null)
                        <p class="muted">As of {{ $setup->followed->outcome->asOf }}: {{ $setup->followed->outcome->label }}{{ $setup->followed->outcome->r === null ? '' : ", {$setup->followed->outcome->r} R" }}.</p>
                    @endif
                @endforeach
            </div>
        @endforeach
        @foreach (array_filter($texts, static fn ($text) => $text['place'] !== 'before') as $text)
            <div class="part"><h2>{{ $text['title'] }}</h2>{!! $text['html'] !!}</div>
        @endforeach
        @if ($edition->withheldNote !== '')
            <p>{{ $edition->withheldNote }}</p>
        @endif
        <p class="foot">{{ $edition->costs }} Sealed with SHA-256 {{ $edition->seal }}{{ $edition->previousSeal === null ? ', the first of its chain' : ", after {$edition->previousSeal}" }}.</p>
    </body>
</html>
