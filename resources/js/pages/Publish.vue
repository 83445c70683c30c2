<script setup lang="ts">
import { Link, router, useForm, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { useConfirm } from 'primevue/useconfirm';
import { useToast } from 'primevue/usetoast';
import { computed, nextTick, ref } from 'vue';
import AppShell from '@/components/AppShell.vue';
import EditionSheet from '@/components/EditionSheet.vue';
import PlanBar from '@/components/PlanBar.vue';
import PlanWords from '@/components/PlanWords.vue';
import UsualParts from '@/components/UsualParts.vue';
import { useShortcuts } from '@/lib/keys';
import { useUndo } from '@/lib/undo';
import type { CheckLineData, EditionData, PlanData, PlanPartData, PlanPartsSettingsData } from '@/types/data';

const props = defineProps<{
    plan: PlanData;
    check: CheckLineData[];
    tier: string;
    notReady: number;
    edition: EditionData;
    texts: PlanPartData[];
    usual: PlanPartsSettingsData;
}>();

const page = usePage();
const confirm = useConfirm();
const toast = useToast();
const shown = ref<'check' | 'words' | 'plan'>('check');
const usualOpen = ref(false);
const size = ref<'page' | 'phone' | 'print'>('page');
const form = useForm({ plan: props.plan.id });
const stops = computed(() => props.check.filter((line) => line.stops));
const warns = computed(() => props.check.filter((line) => !line.stops));
const mayPublish = computed(() => page.props.person?.mayPublish ?? false);
const tiers = computed(() => [...page.props.tiers].reverse());
const views = computed(() => [
    { label: stops.value.length > 0 ? `Check, ${stops.value.length} to mend` : 'Check', value: 'check' as const },
    { label: 'Words', value: 'words' as const },
    { label: 'Session', value: 'plan' as const },
]);
const sizes = [
    { label: 'Page', value: 'page' as const },
    { label: 'Phone', value: 'phone' as const },
    { label: 'Print', value: 'print' as const },
];

function publish(): void {
    if (!mayPublish.value || stops.value.length > 0) {
        return;
    }
    confirm.require({
        header: `Publish the ${props.plan.kindLabel.toLowerCase()} for ${props.plan.session}?`,
        message:
            warns.value.length > 0
                ? `${warns.value.length} ${warns.value.length === 1 ? 'warning stands' : 'warnings stand'}. The edition is sealed: it cannot be changed or taken back afterwards.`
                : 'The edition is sealed: it cannot be changed or taken back afterwards.',
        acceptProps: { label: 'Publish and seal' },
        rejectProps: { label: 'Not yet', severity: 'secondary', text: true },
        accept: () =>
            form.post('/plan/publish', {
                onError: (errors) =>
                    toast.add({
                        severity: 'error',
                        summary: errors.plan ?? 'The plan could not be published.',
                        detail: 'The draft is kept.',
                        life: 8000,
                    }),
            }),
    });
}

function words(field?: string): void {
    shown.value = 'words';
    void nextTick(() =>
        (field === undefined
            ? document.querySelector<HTMLElement>('.words section textarea')
            : document.getElementById(field)
        )?.focus(),
    );
}

const { undoKeys } = useUndo();

useShortcuts([
    { keys: 'b', does: 'write the bias', run: () => words('bias') },
    { keys: 'w', does: 'write the texts', run: () => words() },
    { keys: 'c', does: 'the check', run: () => (shown.value = 'check') },
    {
        keys: 'v',
        does: 'as a page, on a phone, or printed',
        run: () =>
            (size.value = sizes[(sizes.findIndex(({ value }) => value === size.value) + 1) % sizes.length]?.value ?? 'page'),
    },
    { keys: 'Ctrl+Enter', does: 'publish', run: publish, inFields: true },
    ...undoKeys,
]);
</script>

<template>
    <AppShell title="Publish" step="publish">
        <div class="desk">
            <section class="preview" aria-label="Preview" tabindex="0">
                <p v-if="notReady > 0" class="nothing">
                    {{ notReady === 1 ? 'One candidate is' : `${notReady} candidates are` }} not ready and left out of this
                    preview: see the check.
                </p>
                <div :class="size"><EditionSheet :edition="edition" /></div>
            </section>
            <aside class="check">
                <h2 class="title">Publish</h2>
                <PlanBar :plan="plan" />
                <p class="muted">Out by {{ plan.deadline }}.</p>
                <p v-if="plan.isLate" class="late">The session has opened: the edition will say that it came after.</p>
                <SelectButton
                    v-model="shown"
                    :options="views"
                    option-label="label"
                    option-value="value"
                    :allow-empty="false"
                    size="small"
                    aria-label="Check, words or session"
                />
                <template v-if="shown === 'check'">
                    <p v-if="check.length === 0" class="fine">
                        <i class="pi pi-check" aria-hidden="true" /> Nothing stops this plan, nothing to warn of.
                    </p>
                    <ul class="lines">
                        <li v-for="line in [...stops, ...warns]" :key="line.message" :class="line.stops ? 'stops' : 'warns'">
                            <span class="word">{{ line.stops ? 'stops' : 'warning' }}</span>
                            <Link v-if="line.candidateId" :href="`/plan/mark/${line.candidateId}`">{{ line.message }}</Link>
                            <button v-else-if="line.place === 'words'" type="button" class="jump" @click="shown = 'words'">
                                {{ line.message }}
                            </button>
                            <span v-else>{{ line.message }}</span>
                        </li>
                    </ul>
                </template>
                <PlanWords v-else-if="shown === 'words'" :bias="plan.bias" :texts="texts" />
                <template v-else>
                    <span id="plan-session">For the session</span>
                    <Select
                        :model-value="plan.sessionDate"
                        :options="plan.sessions"
                        option-label="label"
                        option-value="value"
                        size="small"
                        aria-labelledby="plan-session"
                        @update:model-value="
                            router.patch('/plan/session', { session: $event }, { preserveScroll: true, preserveState: true })
                        "
                    />
                    <Button
                        class="usual"
                        label="What a plan begins with…"
                        size="small"
                        severity="secondary"
                        outlined
                        @click="usualOpen = true"
                    />
                    <UsualParts v-model:visible="usualOpen" :usual="usual" />
                </template>

                <h2>Preview</h2>
                <div class="choices">
                    <SelectButton
                        :model-value="tier"
                        :options="tiers"
                        option-label="label"
                        option-value="value"
                        :allow-empty="false"
                        size="small"
                        aria-label="As this tier sees it"
                        @update:model-value="
                            router.get('/plan/publish', { tier: $event }, { preserveState: true, preserveScroll: true })
                        "
                    />
                    <SelectButton
                        v-model="size"
                        :options="sizes"
                        option-label="label"
                        option-value="value"
                        :allow-empty="false"
                        size="small"
                        aria-label="Width"
                    />
                </div>

                <Button
                    class="go"
                    label="Publish and seal"
                    :disabled="stops.length > 0 || !mayPublish"
                    :loading="form.processing"
                    @click="publish"
                />
                <p v-if="!mayPublish" class="muted">Only the author publishes.</p>
                <p v-else class="muted">
                    The edition gets its number, the time and a seal that names the edition before. It cannot be changed by anyone
                    afterwards.
                </p>
            </aside>
        </div>
    </AppShell>
</template>

<style scoped>
.desk {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 380px;
    min-height: calc(100vh - 57px);
}
.preview {
    height: calc(100vh - 57px);
    overflow-y: auto;
}
.print {
    width: 794px;
    max-width: 100%;
    margin: 16px auto;
    border: 1px solid var(--hair-2);
}
.print :deep(.edition) {
    background: #fff;
    color: #000;
    --paper: #fff;
    --sheet: #fff;
    --wash: #fff;
}
.phone {
    width: 390px;
    margin: 16px auto;
    border: 1px solid var(--hair-2);
}
.phone :deep(.edition) {
    padding: 16px;
}
.nothing {
    max-width: 880px;
    margin: 0 auto;
    padding: 8px 40px;
    background: var(--look-wash);
}
.check {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 12px 16px;
    border-left: 1px solid var(--hair-2);
    background: var(--sheet);
    height: calc(100vh - 57px);
    overflow-y: auto;
}
.late {
    padding: 4px 8px;
    background: var(--look-wash);
}
.jump {
    padding: 0;
    border: 0;
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    text-decoration: underline;
    cursor: pointer;
}
.usual {
    align-self: flex-start;
}
.check .title {
    margin: 0;
    font-size: 20px;
    line-height: 28px;
}
.check h2 {
    margin-top: 8px;
}
#plan-session {
    font-weight: 600;
}
.lines {
    margin: 0;
    padding: 0;
    list-style: none;
}
.lines li {
    display: grid;
    grid-template-columns: 60px minmax(0, 1fr);
    gap: 8px;
    padding: 6px 0;
    border-top: 1px solid var(--hair);
    line-height: 18px;
}
.word {
    font-weight: 650;
}
.stops .word {
    color: var(--stop);
}
.warns .word {
    color: var(--look);
}
.choices {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    justify-content: space-between;
}
.go {
    margin-top: 12px;
}
</style>
