<script setup lang="ts">
import { computed, ref } from 'vue';
import { signed } from '@/lib/price';
import { useWidth } from '@/lib/width';
import type { EditionData, EditionSetupData, Relation } from '@/types/data';
import { STANDING, standingOf } from '@/lib/checklist';
import EditionChart from './EditionChart.vue';
import EditionText from './EditionText.vue';
import FollowedFacts from './FollowedFacts.vue';
import OptionFacts from './OptionFacts.vue';
import RStrip from './RStrip.vue';

/** A published edition, or the preview of one, as its readers see it. */
const props = withDefaults(
    defineProps<{ edition: EditionData; follows?: string[] | null; waiting?: boolean; since?: boolean }>(),
    {
        follows: null,
        waiting: false,
        since: true,
    },
);
const emit = defineEmits<{ follow: [key: string, on: boolean] }>();

const before = computed(() => props.edition.texts.filter((text) => text.place === 'before'));
const after = computed(() => props.edition.texts.filter((text) => text.place !== 'before'));

const sheet = ref<HTMLElement>();
const width = useWidth(sheet, 700);
const narrow = computed(() => width.value < 620);
const chartWidth = computed(() => (narrow.value ? width.value : Math.round(width.value * 0.6)));
const chartHeight = computed(() => (narrow.value ? 260 : 320));
const bars = computed(() => (narrow.value ? 45 : 75));

const kindOf = (setup: EditionSetupData): string => capital(setup.name === '' ? setup.kind : `${setup.name}: ${setup.kind}`);
const RELATION: Record<Relation, string> = {
    still: 'Still stands, as published in',
    continues: 'Continues what was published in',
    replaces: 'Replaces what was published in',
    adds_to: 'Adds to what was published in',
};

/** A setup that says more than this is told line by line too. */
const LONG = 4;

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const share = (value: string): string => (value === '1' ? 'all' : `${Math.round(Number(value) * 100)} %`);
</script>

<template>
    <article class="edition" :class="{ narrow }">
        <div ref="sheet">
            <header class="masthead">
                <p class="kind">{{ edition.kind }}{{ edition.isPreview ? ', preview' : `, edition ${edition.number}` }}</p>
                <h1>{{ edition.session }}</h1>
                <p class="by">{{ edition.author }}, for the {{ edition.exchange }}, which opens {{ edition.opens }}</p>
                <p class="by">
                    {{ edition.isPreview ? 'Would be published' : 'Published' }} {{ edition.publishedAt
                    }}<template v-if="edition.isLate">, after the open</template>
                </p>
            </header>
            <p v-if="edition.bias" class="bias">{{ edition.bias }}</p>
            <EditionText v-for="(text, i) in before" :key="`before-${i}`" :text="text" />

            <section v-for="(part, at) in edition.parts" :key="part.symbol" class="part">
                <h2 v-if="part.theme && part.theme !== edition.parts[at - 1]?.theme" class="theme">{{ part.theme }}</h2>
                <header>
                    <h2>
                        {{ part.symbol }} <span>{{ part.name }}</span>
                    </h2>
                    <p class="muted">{{ part.kind }}, last {{ part.lastClose }} {{ part.currency }}</p>
                </header>
                <p v-if="part.fullFor" class="passed">
                    <span v-for="side in part.sides" :key="side" :class="side">{{
                        side === 'long' ? '▲ Long. ' : '▼ Short. '
                    }}</span>
                    {{ part.passed ? 'No trade. The reason is' : 'The plan for it is' }} for {{ part.fullFor }} readers.
                </p>
                <p v-if="part.passed && !part.fullFor" class="passed">{{ part.verdict }}</p>
                <template v-else-if="!part.passed">
                    <section v-if="part.carried" class="carried" :aria-label="`${part.symbol} in an earlier edition`">
                        <h3>
                            {{ RELATION[part.carried.relation] }}
                            <a :href="`/editions/${part.carried.edition}`">edition {{ part.carried.edition }}</a>
                        </h3>
                        <template v-for="setup in part.carried.setups" :key="setup.key">
                            <p class="sentence">
                                <b v-if="setup.name">{{ capital(setup.name) }}:</b> {{ setup.sentence }}
                            </p>
                            <FollowedFacts
                                v-if="setup.followed"
                                :followed="setup.followed"
                                :strip-width="Math.min(280, width - 40)"
                            />
                        </template>
                    </section>
                    <p v-for="setup in part.setups" :key="setup.key" class="sentence">
                        <b v-if="setup.name">{{ capital(setup.name) }}:</b> {{ setup.sentence }}
                        <button
                            v-if="follows !== null && !edition.isPreview"
                            type="button"
                            class="follow"
                            :aria-pressed="follows.includes(setup.key)"
                            @click="emit('follow', setup.key, !follows.includes(setup.key))"
                        >
                            {{ follows.includes(setup.key) ? '● following' : '○ follow' }}
                        </button>
                    </p>
                    <template v-for="setup in part.setups" :key="setup.key">
                        <details v-if="setup.lines.length > LONG" class="kind-of">
                            <summary>{{ setup.name ? `${capital(setup.name)}, line by line` : 'Line by line' }}</summary>
                            <ol class="lines">
                                <li v-for="says in setup.lines" :key="says">{{ says }}</li>
                            </ol>
                        </details>
                        <p v-if="setup.kind && setup.checklist.length === 0" class="kind-of">{{ kindOf(setup) }}</p>
                        <details v-else-if="setup.kind" class="kind-of">
                            <summary>
                                {{ kindOf(setup) }}, {{ setup.checklist.filter((line) => line.standing === 'met').length }} of
                                {{ setup.checklist.length }} met when published
                            </summary>
                            <ul class="checklist">
                                <li v-for="line in setup.checklist" :key="line.text" :class="line.standing">
                                    <span class="mark" aria-hidden="true">{{ STANDING[line.standing].mark }}</span>
                                    {{ line.text }}
                                    <span class="muted">{{ standingOf(line) }}</span>
                                </li>
                            </ul>
                        </details>
                    </template>
                    <p v-if="part.setups.length > 1" class="tie">
                        {{
                            part.eitherOr
                                ? 'Either, or: the first that is filled ends what waits of the other.'
                                : 'Independent: each is followed by itself.'
                        }}
                    </p>
                    <dl v-if="part.thesis" class="thesis">
                        <template v-if="part.thesis.speaksFor">
                            <dt>For it</dt>
                            <dd>{{ part.thesis.speaksFor }}</dd>
                        </template>
                        <template v-if="part.thesis.speaksAgainst">
                            <dt>Against it</dt>
                            <dd>{{ part.thesis.speaksAgainst }}</dd>
                        </template>
                        <template v-if="part.thesis.wrongIf || part.thesis.wrongAt">
                            <dt>Wrong if</dt>
                            <dd>
                                {{ part.thesis.wrongIf
                                }}<template v-if="part.thesis.wrongAt"
                                    >{{ part.thesis.wrongIf ? ', ' : '' }}at {{ part.thesis.wrongAt }}</template
                                >
                            </dd>
                        </template>
                        <template v-if="part.thesis.conviction">
                            <dt>Conviction</dt>
                            <dd>{{ part.thesis.conviction }} of 5</dd>
                        </template>
                    </dl>
                    <p v-if="part.splitNote && !part.setups[0]?.followed" class="muted">{{ part.splitNote }}</p>
                    <div v-if="part.chart || part.levels.length > 0 || part.setups.length > 0" class="columns">
                        <EditionChart
                            v-if="part.chart"
                            :part="part"
                            :bars="bars"
                            :width="chartWidth"
                            :height="chartHeight"
                            :since="since"
                        />
                        <div
                            v-else-if="waiting"
                            class="to-come"
                            :style="{ width: `${chartWidth}px`, height: `${chartHeight}px` }"
                        >
                            the chart is on its way
                        </div>
                        <div class="figures">
                            <table v-if="part.setups.length > 0 || part.levels.length > 0">
                                <caption class="visually-hidden">
                                    Prices of the setup
                                </caption>
                                <tbody v-for="setup in part.setups" :key="setup.key">
                                    <tr v-if="setup.name" class="variant">
                                        <th colspan="3">{{ capital(setup.name) }}</th>
                                    </tr>
                                    <tr :class="setup.side">
                                        <th>{{ setup.side === 'long' ? '▲ Long' : '▼ Short' }}, {{ setup.trigger }}</th>
                                        <td>{{ setup.entries.join(' and ') || 'the open' }}</td>
                                        <td>1 R = {{ setup.risk }}</td>
                                    </tr>
                                    <tr class="stop">
                                        <th>Stop</th>
                                        <td>{{ setup.stop }}</td>
                                        <td>−1 R</td>
                                    </tr>
                                    <tr v-for="(target, i) in setup.targets" :key="i" :class="setup.side">
                                        <th>Target {{ i + 1 }}, {{ share(target.share) }}</th>
                                        <td>{{ target.price }}</td>
                                        <td>{{ signed(target.r) }} R</td>
                                    </tr>
                                    <tr v-for="figure in setup.size" :key="figure.label" class="size">
                                        <th>
                                            {{ figure.label === 'Size' ? 'Your size' : `Yours, ${figure.label.toLowerCase()}` }}
                                        </th>
                                        <td colspan="2">
                                            <b>{{ figure.value }}</b> <span>{{ figure.note }}</span>
                                        </td>
                                    </tr>
                                    <tr v-if="setup.cancel">
                                        <th>Cancel the wait</th>
                                        <td>{{ setup.cancel }}</td>
                                        <td></td>
                                    </tr>
                                </tbody>
                                <tbody>
                                    <tr v-for="(level, i) in part.levels" :key="i" class="level" :class="level.grade">
                                        <th>{{ level.origin }}</th>
                                        <td>{{ level.span || level.price }}</td>
                                        <td>{{ level.grade }}</td>
                                    </tr>
                                </tbody>
                            </table>
                            <template v-for="setup in part.setups" :key="setup.key">
                                <RStrip v-if="!setup.followed || !since" :strip="setup.planned" :width="260" labels />
                            </template>
                        </div>
                    </div>
                    <template v-for="setup in part.setups" :key="setup.key">
                        <section v-if="setup.option" class="in-options" :aria-label="`${part.symbol} in options`">
                            <h3>In options{{ setup.name ? `, ${setup.name}` : '' }}</h3>
                            <OptionFacts :option="setup.option" :side="setup.side" :width="Math.min(420, width)" />
                            <p class="muted">
                                The premiums are the author's. Only its value at expiry is told; the record judges the setup
                                above.
                            </p>
                        </section>
                        <section
                            v-if="setup.followed && since"
                            class="since"
                            :aria-label="`What happened since to ${part.symbol}`"
                        >
                            <h3>What happened since{{ setup.name ? `, ${setup.name}` : '' }}</h3>
                            <FollowedFacts :followed="setup.followed" :strip-width="Math.min(280, width - 40)" />
                        </section>
                    </template>
                </template>
            </section>

            <EditionText v-for="(text, i) in after" :key="`after-${i}`" :text="text" />
            <p v-if="edition.withheld > 0" class="withheld">{{ edition.withheldNote }}</p>
            <footer>
                <p>{{ edition.costs }}</p>
                <p v-if="edition.seal">
                    Sealed with SHA-256 <code>{{ edition.seal }}</code>
                    <template v-if="edition.previousSeal"
                        >, after <code>{{ edition.previousSeal }}</code></template
                    >
                    <template v-else>, the first of its chain</template>.
                </p>
            </footer>
        </div>
    </article>
</template>

<style scoped>
.thesis {
    display: grid;
    grid-template-columns: 84px minmax(0, 1fr);
    gap: 2px 12px;
    margin: 0 0 12px;
    line-height: 20px;
}
.thesis dt {
    color: var(--ink-2);
}
.thesis dd {
    margin: 0;
}
.edition {
    max-width: 880px;
    margin: 0 auto;
    padding: 24px 40px;
    background: var(--sheet);
    border: solid var(--hair);
    border-width: 0 1px;
    --paper: var(--sheet);
}
.masthead {
    padding-bottom: 12px;
    border-bottom: 3px double var(--ink-2);
    text-align: center;
}
.kind {
    font-size: 13px;
    color: var(--ink-2);
}
.masthead h1 {
    font: 600 32px/40px var(--serif);
    text-wrap: balance;
}
.by {
    color: var(--ink-2);
}
.bias {
    padding: 16px 0;
    font: italic 400 19px/27px var(--serif);
    text-align: center;
    text-wrap: balance;
    border-bottom: 1px solid var(--hair-2);
}
.part {
    padding: 20px 0 16px;
    border-bottom: 1px solid var(--hair-2);
}
.part header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 0 12px;
}
.part h2 {
    font: 650 20px/26px var(--serif);
}
.part h2 span {
    font-weight: 400;
}
.sentence,
.passed {
    margin: 6px 0 10px;
    font: 400 17px/24px var(--serif);
    text-wrap: pretty;
}
.passed {
    margin-bottom: 0;
    color: var(--ink-2);
}
.to-come {
    display: grid;
    place-items: center;
    color: var(--ink-3);
    border: 1px dotted var(--hair);
}
.theme {
    margin-bottom: 12px;
    font: 650 14px/20px var(--sans) !important;
    letter-spacing: 0.04em;
    color: var(--ink-2);
}
.follow {
    padding: 0 6px;
    border: 0;
    background: none;
    color: var(--ink-2);
    font: 600 13px/20px var(--sans);
    cursor: pointer;
}
.follow[aria-pressed='true'] {
    color: var(--look);
}
.kind-of {
    margin: -4px 0 8px;
    color: var(--ink-2);
}
.kind-of summary {
    cursor: pointer;
}
.lines {
    margin: 4px 0 0;
    padding-left: 20px;
    line-height: 20px;
    color: var(--ink);
}
.checklist {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
    line-height: 20px;
}
.checklist .mark {
    display: inline-block;
    width: 16px;
}
.checklist .failed .mark {
    color: var(--stop);
}
.tie {
    margin: -6px 0 10px;
    color: var(--ink-2);
}
.columns {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 20px;
}
.narrow .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
}
.figures table {
    width: 100%;
    border-collapse: collapse;
    margin-bottom: 12px;
}
.figures th {
    text-align: left;
    font-weight: 600;
}
.figures td {
    text-align: right;
    white-space: nowrap;
}
.figures td:last-child {
    min-width: 72px;
    padding-left: 8px;
}
.figures tr {
    border-bottom: 1px solid var(--hair);
    line-height: 24px;
}
.figures .size td {
    white-space: normal;
    line-height: 18px;
    padding: 3px 0;
}
.figures .size span {
    font-size: 13px;
    color: var(--ink-2);
}
.figures .level th {
    font-weight: 400;
    color: var(--ink-2);
}
.figures .level.major td:nth-child(2) {
    font-weight: 650;
}
.in-options {
    margin-top: 12px;
}
.in-options h3 {
    margin-bottom: 4px;
    font: 650 15px/20px var(--serif);
}
.since {
    margin-top: 12px;
    padding: 10px 12px;
    background: var(--wash);
}
.since h3 {
    margin-bottom: 6px;
    font: 650 15px/20px var(--serif);
}
.carried {
    margin-top: 10px;
    padding: 10px 12px;
    border-left: 3px double var(--hair-2);
}
.carried h3 {
    font: 650 15px/20px var(--serif);
}
.withheld {
    padding: 16px 0;
    font: italic 400 16px/24px var(--serif);
    text-align: center;
}
footer {
    padding-top: 12px;
    font-size: 12px;
    line-height: 17px;
    color: var(--ink-2);
}
code {
    font-size: 11px;
    overflow-wrap: anywhere;
}
@media (max-width: 760px) {
    .edition {
        padding: 16px;
        border: 0;
    }
    .masthead h1 {
        font-size: 25px;
        line-height: 32px;
    }
    .bias {
        font-size: 17px;
        line-height: 24px;
    }
}
</style>
