<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { ref, watch } from 'vue';
import type { CandidateData } from '@/types/data';

/** Passes a candidate with the reason, or keeps it after all. */
const props = defineProps<{ candidate: CandidateData }>();

const reason = ref('');
const error = ref<string | null>(null);

// a reason belongs to the candidate it was typed for
watch(
    () => props.candidate.id,
    () => {
        reason.value = '';
        error.value = null;
    },
);

function judge(state: 'kept' | 'passed'): void {
    error.value = null;
    router.patch(
        `/plan/candidates/${props.candidate.id}`,
        { state, reason: state === 'passed' ? reason.value : '', readers: props.candidate.readers },
        {
            preserveScroll: true,
            preserveState: true,
            onError: (refused) => (error.value = refused.reason ?? 'It could not be kept.'),
            onSuccess: () => (reason.value = ''),
        },
    );
}
</script>

<template>
    <form class="verdict" @submit.prevent="judge('passed')">
        <h2>{{ candidate.state === 'passed' ? 'Passed' : 'Not worth a plan?' }}</h2>
        <template v-if="candidate.state === 'passed'">
            <p>{{ candidate.reason }}</p>
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
.error {
    color: var(--stop);
    font-size: 13px;
    line-height: 16px;
}
</style>
