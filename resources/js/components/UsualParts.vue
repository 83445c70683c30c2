<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Select from 'primevue/select';
import Textarea from 'primevue/textarea';
import { ref, watch } from 'vue';
import type { PartRole, PlanPartsSettingsData } from '@/types/data';

/** The texts that each kind of plan begins with, and those that every edition must hold. */
const props = defineProps<{ usual: PlanPartsSettingsData }>();
const visible = defineModel<boolean>('visible', { required: true });

const kinds = ref(structuredClone(props.usual.kinds));
const kind = ref(props.usual.kinds[0]?.kind ?? 'daily');
const disclaimer = ref(props.usual.disclaimer);
const required = ref<PartRole[]>([...props.usual.required]);
const refused = ref('');
const REQUIRED: { value: PartRole; label: string }[] = [
    { value: 'disclaimer', label: 'a disclaimer' },
    { value: 'holdings', label: 'what the author holds' },
    { value: 'sponsorship', label: 'sponsorship' },
];
const PLACES = [
    { value: 'before', label: 'before' },
    { value: 'after', label: 'after' },
];

watch(visible, (open) => {
    if (open) {
        kinds.value = JSON.parse(JSON.stringify(props.usual.kinds)) as typeof kinds.value;
        disclaimer.value = props.usual.disclaimer;
        required.value = [...props.usual.required];
        refused.value = '';
    }
});

function keep(): void {
    router.patch(
        '/settings/parts',
        {
            titles: Object.fromEntries(
                kinds.value.map((one) => [one.kind, one.titles.map(({ title, place }) => ({ title, place }))]),
            ),
            disclaimer: disclaimer.value,
            required: required.value,
        },
        {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => (visible.value = false),
            onError: (errors) => (refused.value = Object.values(errors)[0] ?? ''),
        },
    );
}
</script>

<template>
    <Dialog v-model:visible="visible" modal header="What a plan begins with" :style="{ width: '520px' }">
        <form class="dialog-form" @submit.prevent="keep">
            <span id="usual-kind">Kind of plan</span>
            <Select
                v-model="kind"
                :options="kinds"
                option-label="label"
                option-value="kind"
                size="small"
                aria-labelledby="usual-kind"
            />
            <template v-for="one in kinds" :key="one.kind">
                <template v-if="one.kind === kind">
                    <div v-for="(part, i) in one.titles" :key="i" class="part">
                        <InputText v-model="part.title" size="small" :aria-label="`Title of text ${i + 1}`" />
                        <Select
                            v-model="part.place"
                            :options="PLACES"
                            option-label="label"
                            option-value="value"
                            size="small"
                            aria-label="Where"
                        />
                        <Button
                            type="button"
                            icon="pi pi-times"
                            text
                            size="small"
                            severity="secondary"
                            :aria-label="`Without ${part.title}`"
                            @click="one.titles.splice(i, 1)"
                        />
                    </div>
                    <Button
                        type="button"
                        class="more"
                        label="Another text"
                        text
                        size="small"
                        severity="secondary"
                        @click="one.titles.push({ title: '', place: 'before' })"
                    />
                </template>
            </template>
            <label for="usual-disclaimer">Disclaimer of a new plan</label>
            <Textarea id="usual-disclaimer" v-model="disclaimer" rows="3" maxlength="2000" auto-resize />
            <span>Every edition must hold</span>
            <div class="required">
                <span v-for="one in REQUIRED" :key="one.value">
                    <Checkbox v-model="required" :value="one.value" :input-id="`requires-${one.value}`" />
                    <label :for="`requires-${one.value}`">{{ one.label }}</label>
                </span>
            </div>
            <p v-if="refused" class="error" role="alert">{{ refused }}</p>
            <p class="muted">Plans that are begun already keep their texts.</p>
            <div class="dialog-buttons">
                <Button type="button" label="Not now" text severity="secondary" @click="visible = false" />
                <Button type="submit" label="Keep" />
            </div>
        </form>
    </Dialog>
</template>

<style scoped>
.part {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 100px 32px;
    gap: 8px;
}
.more {
    align-self: flex-start;
}
.required {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 16px;
}
.required span {
    display: inline-flex;
    align-items: center;
    gap: 6px;
}
</style>
