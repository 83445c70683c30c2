<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import { ref, watch } from 'vue';
import type { CandidateData, NoTrade } from '@/types/data';

/** Says that a candidate is no trade, with the reason and what would change that; or keeps it after all. */
const props = defineProps<{ candidate: CandidateData }>();

const reason = ref('');
const kind = ref<NoTrade>('pass');
const wouldChange = ref('');
const error = ref<string | null>(null);

const kinds: { value: NoTrade; label: string }[] = [
    { value: 'pass', label: 'Pass' },
    { value: 'stand_aside', label: 'Stand aside' },
    { value: 'do_not_chase', label: 'Do not chase' },
    { value: 'watch_only', label: 'Watch only' },
];

// a reason belongs to the candidate it was typed for
watch(
    () => props.candidate.id,
    () => {
        reason.value = '';
        kind.value = 'pass';
        wouldChange.value = '';
        error.value = null;
    },
);

function judge(state: 'kept' | 'passed'): void {
    error.value = null;
    router.patch(
        `/plan/candidates/${props.candidate.id}`,
        {
            state,
            reason: state === 'passed' ? reason.value : '',
            readers: props.candidate.readers,
            no_trade: kind.value,
            would_change: state === 'passed' ? wouldChange.value : '',
        },
        {
            preserveScroll: true,
            preserveState: true,
            onError: (refused) => (error.value = refused.reason ?? refused.would_change ?? 'It could not be kept.'),
            onSuccess: () => (reason.value = ''),
        },
    );
}
</script>

<template>
    <form class="verdict" @submit.prevent="judge('passed')">
        <h2>{{ candidate.state === 'passed' ? 'No trade' : 'Not worth a plan?' }}</h2>
        <template v-if="candidate.state === 'passed'">
            <p>{{ candidate.verdict }}</p>
            <Button label="Keep it after all" size="small" severity="secondary" outlined @click="judge('kept')" />
        </template>
        <template v-else>
            <div class="line">
                <InputText
                    id="pass-reason"
                    v-model="reason"
                    size="small"
                    maxlength="200"
                    placeholder="reason, published with the plan"
                    aria-label="Reason to pass it"
                    :invalid="error !== null"
                    fluid
                />
            </div>
            <div class="line">
                <Select
                    v-model="kind"
                    :options="kinds"
                    option-label="label"
                    option-value="value"
                    size="small"
                    class="kind"
                    aria-label="What is said instead of a setup"
                />
                <InputText
                    v-model="wouldChange"
                    size="small"
                    inputmode="decimal"
                    placeholder="changed by"
                    title="The price that would change this"
                    aria-label="Price that would change this"
                    class="changed"
                />
                <Button type="submit" label="Pass" size="small" severity="secondary" outlined />
            </div>
            <p v-if="error" class="error" role="alert">{{ error }}</p>
        </template>
    </form>
</template>

<style scoped>
.verdict {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
    margin-top: 16px;
    padding-top: 12px;
    border-top: 1px solid var(--hair);
}
.line {
    display: flex;
    gap: 8px;
    width: 100%;
}
.kind {
    flex: 1;
    min-width: 0;
    align-items: center;
}
.changed {
    width: 96px;
    text-align: right;
}
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 16px;
}
</style>
