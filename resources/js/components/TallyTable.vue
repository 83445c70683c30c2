<script setup lang="ts">
import { percent, plain } from '@/lib/figures';
import type { LevelTallyData } from '@/types/data';

/** How levels of each kind did: counts, and a rate with its interval where there are enough. */
defineProps<{ title: string; tallies: LevelTallyData[] }>();
</script>

<template>
    <section>
        <h2>{{ title }}</h2>
        <div class="scroll" tabindex="0" role="group" :aria-label="title">
            <table>
                <thead>
                    <tr>
                        <th scope="col" class="name">Kind</th>
                        <th scope="col">Levels</th>
                        <th scope="col">Untouched</th>
                        <th scope="col">Open</th>
                        <th scope="col">Held</th>
                        <th scope="col">Broke</th>
                        <th scope="col">Held, of decided</th>
                        <th scope="col">Turn, ATR</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="tally in tallies" :key="tally.name">
                        <th scope="row" class="name">{{ tally.name }}</th>
                        <td>{{ tally.all }}</td>
                        <td>{{ tally.untouched }}</td>
                        <td>{{ tally.undecided }}</td>
                        <td>{{ tally.held }}</td>
                        <td>{{ tally.broke }}</td>
                        <td>
                            <template v-if="tally.rate !== null"
                                >{{ percent(tally.rate) }}
                                <small>{{ percent(tally.low) }}–{{ percent(tally.high) }}</small></template
                            >
                            <span v-else class="muted">too few</span>
                        </td>
                        <td>{{ plain(tally.turn, 2) }}</td>
                    </tr>
                </tbody>
            </table>
        </div>
    </section>
</template>

<style scoped>
.scroll {
    overflow-x: auto;
}
table {
    width: 100%;
    margin: 4px 0 12px;
    border-collapse: collapse;
    font-size: 13px;
}
th,
td {
    padding: 3px 8px;
    border-bottom: 1px solid var(--hair);
    text-align: right;
    white-space: nowrap;
    font-weight: 400;
}
thead th {
    color: var(--ink-3);
    font-size: 12px;
}
.name {
    padding-left: 0;
    text-align: left;
}
tbody .name {
    font-weight: 600;
}
small {
    color: var(--ink-3);
}
</style>
