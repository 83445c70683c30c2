<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import Popover from 'primevue/popover';
import ProgressBar from 'primevue/progressbar';
import { useToast } from 'primevue/usetoast';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { send } from '@/lib/http';
import type { ClockData, MarketRunData } from '@/types/data';

const props = defineProps<{ clock: ClockData; mayPlay: boolean }>();

const toast = useToast();
const panel = ref<InstanceType<typeof Popover>>();
const run = ref<MarketRunData | null>(props.clock.run);
const sessions = ref(5);
let timer: number | undefined;

const underWay = computed(() => run.value !== null && (run.value.state === 'queued' || run.value.state === 'running'));
const percent = computed(() =>
    run.value === null || run.value.total === 0 ? 0 : Math.round((run.value.done / run.value.total) * 100),
);

async function play(by: 'bar' | 'close' | 'sessions'): Promise<void> {
    try {
        run.value = await send<MarketRunData>('POST', '/market/runs', { by, sessions: sessions.value });
        follow();
    } catch (error) {
        toast.add({ severity: 'warn', summary: (error as Error).message, life: 6000 });
    }
}

async function cancel(): Promise<void> {
    if (run.value !== null) {
        run.value = await send<MarketRunData>('POST', `/market/runs/${run.value.id}/cancel`);
    }
}

function follow(): void {
    window.clearTimeout(timer);
    timer = window.setTimeout(look, 250);
}

async function look(): Promise<void> {
    if (run.value === null) {
        return;
    }
    try {
        run.value = await send<MarketRunData>('GET', `/market/runs/${run.value.id}`);
    } catch {
        follow();
        return;
    }
    if (underWay.value) {
        follow();
        return;
    }
    if (run.value.message !== null) {
        toast.add({ severity: run.value.state === 'failed' ? 'error' : 'secondary', summary: run.value.message, life: 6000 });
    }
    router.reload();
}

onMounted(() => {
    if (underWay.value && props.mayPlay) {
        follow();
    }
});
onBeforeUnmount(() => window.clearTimeout(timer));
</script>

<template>
    <div class="clock">
        <button v-if="mayPlay" type="button" class="face" aria-haspopup="true" @click="panel?.toggle($event)">
            <span class="when"
                ><span class="date">{{ clock.date }}, </span><strong>{{ clock.time }}</strong> Quay time</span
            >
            <span class="state">{{ clock.utc }} UTC · {{ underWay ? `playing ${run?.label}` : clock.session }}</span>
            <span v-if="underWay" class="bar" :style="{ width: `${percent}%` }" />
        </button>
        <div v-else class="face">
            <span class="when"
                ><span class="date">{{ clock.date }}, </span><strong>{{ clock.time }}</strong> Quay time</span
            >
            <span class="state">{{ clock.utc }} UTC · {{ clock.session }}</span>
        </div>
        <Popover ref="panel" aria-label="Play the market forward">
            <div class="panel">
                <h2>Play the market forward</h2>
                <template v-if="underWay && run">
                    <ProgressBar :value="percent" :show-value="false" style="height: 6px" aria-label="Progress" />
                    <div class="row">
                        <span aria-live="polite">{{
                            run.total === 0 ? 'Waiting for the worker' : `Step ${run.done} of ${run.total}`
                        }}</span>
                        <Button label="Cancel" size="small" severity="secondary" outlined @click="cancel" />
                    </div>
                </template>
                <template v-else>
                    <Button label="Next bar (5 minutes)" size="small" severity="secondary" outlined @click="play('bar')" />
                    <Button
                        label="To the close of the session"
                        size="small"
                        severity="secondary"
                        outlined
                        @click="play('close')"
                    />
                    <div class="row">
                        <InputNumber
                            v-model="sessions"
                            :min="1"
                            :max="60"
                            size="small"
                            input-class="sessions"
                            aria-label="Sessions"
                            @keydown.enter="play('sessions')"
                        />
                        <Button
                            :label="sessions === 1 ? 'session' : 'sessions'"
                            size="small"
                            severity="secondary"
                            outlined
                            @click="play('sessions')"
                        />
                    </div>
                    <p class="muted">The clock only runs forward. Bars appear, setups are followed.</p>
                </template>
            </div>
        </Popover>
    </div>
</template>

<style scoped>
.face {
    position: relative;
    display: flex;
    flex-direction: column;
    align-items: flex-end;
    padding: 2px 8px;
    border: 1px solid transparent;
    border-radius: 2px;
    background: none;
    color: inherit;
    text-align: right;
    font-size: 13px;
    line-height: 18px;
}
button.face {
    border-color: var(--hair);
    cursor: pointer;
}
button.face:hover {
    border-color: var(--hair-2);
    background: var(--wash);
}
.state {
    font-size: 12px;
    line-height: 16px;
    color: var(--ink-3);
}
.bar {
    position: absolute;
    left: 0;
    bottom: -1px;
    height: 3px;
    background: var(--look);
}
.panel {
    display: flex;
    flex-direction: column;
    gap: 8px;
    width: 236px;
}
.row {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
}
.row :deep(.sessions) {
    width: 90px;
}
.panel .muted {
    font-size: 12px;
    line-height: 16px;
}
@media (max-width: 760px) {
    .state,
    .date {
        display: none;
    }
}
</style>
