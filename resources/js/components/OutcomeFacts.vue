<script setup lang="ts">
import { signed } from '@/lib/price';
import type { OutcomeData } from '@/types/data';
import RStrip from './RStrip.vue';

/** What happened to a published setup: strip, figures, and every event with its price and time. */
defineProps<{ outcome: OutcomeData; stripWidth?: number }>();
</script>

<template>
    <div class="outcome">
        <div class="line">
            <span class="status" :class="outcome.status">{{ outcome.label }}</span>
            <RStrip :strip="outcome.strip" :width="stripWidth ?? 240" />
        </div>
        <p v-if="outcome.missed" class="missed">Not triggered, {{ outcome.missed }}.</p>
        <p v-if="outcome.targetFirst" class="muted">The first target traded before the entry, on {{ outcome.targetFirst }}.</p>
        <dl v-if="outcome.r !== null" class="figures">
            <div>
                <dt>result</dt>
                <dd>
                    <strong>{{ signed(outcome.r, 2) }} R</strong>
                </dd>
            </div>
            <div>
                <dt>realised</dt>
                <dd>{{ signed(outcome.rRealised, 2) }} R</dd>
            </div>
            <div>
                <dt>open</dt>
                <dd>{{ signed(outcome.rOpen, 2) }} R</dd>
            </div>
            <div>
                <dt>percent</dt>
                <dd>{{ signed(outcome.percent) }} %</dd>
            </div>
            <div>
                <dt>per unit</dt>
                <dd>{{ signed(outcome.perUnit) }}</dd>
            </div>
            <div>
                <dt>sessions held</dt>
                <dd>{{ outcome.sessionsHeld }}</dd>
            </div>
            <div>
                <dt>best</dt>
                <dd>{{ signed(outcome.best, 2) }} R</dd>
            </div>
            <div>
                <dt>worst</dt>
                <dd>{{ signed(outcome.worst, 2) }} R</dd>
            </div>
        </dl>
        <ol v-if="outcome.events.length > 0" class="events">
            <li v-for="(event, i) in outcome.events" :key="i">
                <span class="when">{{ event.when }}</span>
                <span
                    >{{ event.what
                    }}<template v-if="event.price">
                        at <strong>{{ event.price }}</strong></template
                    ><template v-if="event.share && event.share !== '1'"
                        >, {{ Math.round(Number(event.share) * 100) }} %</template
                    ></span
                >
                <span v-if="event.note" class="muted">{{ event.note }}</span>
            </li>
        </ol>
        <p v-for="remark in outcome.remarks" :key="remark" class="remark">{{ remark }}</p>
        <p v-if="outcome.ambiguous" class="look">A bar could not tell the order of things: the less favourable was assumed.</p>
    </div>
</template>

<style scoped>
.outcome {
    display: flex;
    flex-direction: column;
    gap: 6px;
}
.line {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 4px 12px;
}
.status {
    font-weight: 650;
}
.status::before {
    content: '';
    display: inline-block;
    width: 9px;
    height: 9px;
    margin-right: 6px;
    border: 1.5px solid currentcolor;
    border-radius: 50%;
}
.status.open::before,
.status.closed::before {
    background: currentcolor;
}
.status.closed::before,
.status.void::before,
.status.cancelled::before,
.status.not_triggered::before {
    border-radius: 0;
}
.figures {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 4px 12px;
    margin: 0;
}
.figures dt {
    font-size: 12px;
    line-height: 15px;
    color: var(--ink-3);
}
.figures dd {
    margin: 0;
}
.events {
    margin: 0;
    padding: 4px 0 0;
    list-style: none;
    border-top: 1px solid var(--hair);
}
.events li {
    display: grid;
    grid-template-columns: 92px auto minmax(0, 1fr);
    column-gap: 10px;
}
.when {
    color: var(--ink-2);
}
@media (max-width: 620px) {
    .events .muted {
        grid-column: 2 / -1;
    }
}
</style>
