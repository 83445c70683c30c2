<script setup lang="ts">
import Button from 'primevue/button';
import FactWords from '@/components/FactWords.vue';
import SparkLine from '@/components/SparkLine.vue';
import type { InstrumentRow } from '@/lib/instruments';

/** Instruments side by side: what each did, the facts that decide, and one press to the working list. */
defineProps<{ rows: InstrumentRow[]; figures: string[] }>();
const emit = defineEmits<{ add: [row: InstrumentRow] }>();
</script>

<template>
    <table>
        <thead>
            <tr>
                <th scope="col">Symbol</th>
                <th scope="col">60 sessions</th>
                <th v-for="figure in figures" :key="figure" scope="col" class="num">{{ figure }}</th>
                <th scope="col">Facts</th>
                <th scope="col"><span class="visually-hidden">Add</span></th>
            </tr>
        </thead>
        <tbody>
            <tr v-for="row in rows" :key="row.id" :class="{ own: row.isOwn }">
                <th scope="row">
                    {{ row.symbol }} <span class="muted">{{ row.kind }}</span>
                    <span class="name">{{ row.name }}</span>
                    <span v-for="mark in row.marks" :key="mark" class="mark">{{ mark }}</span>
                </th>
                <td>
                    <SparkLine
                        v-if="row.closes.length > 1"
                        :values="row.closes"
                        :width="110"
                        :height="34"
                        :label="`Closes of ${row.symbol}, 60 sessions`"
                    />
                </td>
                <td v-for="(figure, i) in row.figures" :key="i" class="num">{{ figure }}</td>
                <td><FactWords :facts="row.facts" /></td>
                <td class="num">
                    <template v-if="row.isOwn"></template>
                    <span v-else-if="row.onList" class="muted">on the list</span>
                    <Button v-else label="Add" size="small" severity="secondary" outlined @click="emit('add', row)" />
                </td>
            </tr>
        </tbody>
    </table>
</template>

<style scoped>
table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
}
th,
td {
    padding: 5px 8px;
    border-bottom: 1px solid var(--hair);
    text-align: left;
    vertical-align: middle;
}
thead th {
    font-size: 13px;
    font-weight: 600;
    color: var(--ink-3);
}
tbody th {
    font-weight: 650;
    white-space: nowrap;
}
tbody th .muted {
    font-weight: 400;
    font-size: 13px;
}
.num {
    text-align: right;
    white-space: nowrap;
}
.own > * {
    background: var(--wash);
}
.name {
    display: block;
    font-size: 13px;
    font-weight: 400;
    line-height: 16px;
    color: var(--ink-3);
}
.mark {
    display: block;
    font-size: 13px;
    font-weight: 600;
    line-height: 16px;
    color: var(--look);
}
</style>
