<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { ref, useId, watch } from 'vue';

/** Asks for one line of text, with what was written before to choose from. */
const props = defineProps<{ header: string; label: string; text: string; most: number; known?: string[] }>();
const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ keep: [text: string] }>();

const typed = ref('');
const id = useId();
watch(visible, (shown) => {
    if (shown) {
        typed.value = props.text;
    }
});

function keep(): void {
    visible.value = false;
    if (typed.value.trim() !== props.text) {
        emit('keep', typed.value.trim());
    }
}
</script>

<template>
    <Dialog v-model:visible="visible" modal :header="header" :style="{ width: '380px' }">
        <form class="dialog-form" @submit.prevent="keep">
            <InputText v-model="typed" size="small" :maxlength="most" autofocus :list="id" :aria-label="label" fluid />
            <datalist :id="id">
                <option v-for="one in known ?? []" :key="one" :value="one"></option>
            </datalist>
            <p class="muted"><slot /></p>
            <Button type="submit" label="Keep" size="small" />
        </form>
    </Dialog>
</template>
