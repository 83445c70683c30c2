<script setup lang="ts">
import { useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Message from 'primevue/message';
import RadioButton from 'primevue/radiobutton';
import Textarea from 'primevue/textarea';
import { computed, watch } from 'vue';
import type { ReviewItemData, UpdateOfferData } from '@/types/data';

/** Says or changes something about a published setup, for all who read it. */
const props = defineProps<{ item: ReviewItemData | null }>();
const visible = defineModel<boolean>('visible', { required: true });

const form = useForm<{ kind: string; number: number | null; price: string; share: string; text: string }>({
    kind: 'note',
    number: null,
    price: '',
    share: '100',
    text: '',
});

const id = (offer: UpdateOfferData): string => `${offer.kind}-${offer.number ?? ''}`;
const chosen = computed({
    get: () => props.item?.updates.find((offer) => offer.kind === form.kind && offer.number === form.number) ?? null,
    set: (offer) => {
        form.kind = offer?.kind ?? 'note';
        form.number = offer?.number ?? null;
        form.clearErrors();
    },
});
const moves = computed(() => form.kind === 'move_stop' || form.kind === 'move_target');

watch(visible, (open) => {
    if (open) {
        form.reset();
        form.clearErrors();
        chosen.value = props.item?.updates[0] ?? null;
    }
});

function post(): void {
    if (props.item === null) {
        return;
    }
    form.post(`/plan/review/${props.item.id}/updates`, { preserveScroll: true, onSuccess: () => (visible.value = false) });
}
</script>

<template>
    <Dialog v-model:visible="visible" modal :header="`Update ${item?.symbol ?? ''}`" :style="{ width: '460px' }">
        <form v-if="item" class="dialog-form" @submit.prevent="post">
            <fieldset>
                <legend class="visually-hidden">What changes</legend>
                <div v-for="offer in item.updates" :key="id(offer)" class="offer">
                    <RadioButton v-model="chosen" :value="offer" :input-id="`offer-${id(offer)}`" name="update" />
                    <label :for="`offer-${id(offer)}`">{{ offer.label }}</label>
                    <span class="muted">{{ offer.now }}</span>
                </div>
            </fieldset>
            <p v-if="form.errors.kind" class="error" role="alert">{{ form.errors.kind }}</p>
            <div v-if="moves" class="field">
                <label for="update-price">New price</label>
                <InputText
                    id="update-price"
                    v-model="form.price"
                    size="small"
                    inputmode="decimal"
                    :invalid="!!form.errors.price"
                />
                <p v-if="form.errors.price" class="error" role="alert">{{ form.errors.price }}</p>
            </div>
            <div v-if="form.kind === 'exit'" class="field">
                <label for="update-share">Share of what is open, in percent</label>
                <InputText
                    id="update-share"
                    v-model="form.share"
                    size="small"
                    inputmode="numeric"
                    :invalid="!!form.errors.share"
                />
                <p v-if="form.errors.share" class="error" role="alert">{{ form.errors.share }}</p>
            </div>
            <div class="field">
                <label for="update-text">{{ form.kind === 'note' ? 'What is to be said' : 'In your words, if you like' }}</label>
                <Textarea
                    id="update-text"
                    v-model="form.text"
                    rows="2"
                    maxlength="400"
                    auto-resize
                    :invalid="!!form.errors.text"
                />
                <p v-if="form.errors.text" class="error" role="alert">{{ form.errors.text }}</p>
            </div>
            <Message severity="secondary" size="small" :closable="false">
                Public at once, with the time, and never taken back. The result as published does not change: it is followed as
                managed beside it.
            </Message>
            <div class="dialog-buttons">
                <Button type="button" label="Not now" text severity="secondary" @click="visible = false" />
                <Button type="submit" label="Publish the update" :loading="form.processing" />
            </div>
        </form>
    </Dialog>
</template>

<style scoped>
fieldset {
    margin: 0;
    padding: 0;
    border: 0;
}
.offer {
    display: grid;
    grid-template-columns: 20px 170px minmax(0, 1fr);
    align-items: center;
    gap: 6px;
    min-height: 28px;
}
.field {
    display: flex;
    flex-direction: column;
    gap: 4px;
}
.field label {
    font-weight: 600;
}
</style>
