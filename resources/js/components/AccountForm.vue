<script setup lang="ts">
import { router } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import { ref } from 'vue';
import type { AccountData } from '@/types/data';

/** The reader's own account: what every setup of the edition is sized for. Kept for them alone. */
const props = defineProps<{ account: AccountData | null }>();

const open = ref(false);
const value = ref<number | null>(null);
const risk = ref<number | null>(null);
const errors = ref<Record<string, string>>({});

function begin(): void {
    value.value = props.account?.value ?? 10_000;
    risk.value = props.account?.riskPercent ?? 0.5;
    errors.value = {};
    open.value = true;
}

function keep(): void {
    router.patch(
        '/settings/account',
        { value: value.value, riskPercent: risk.value },
        {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => (open.value = false),
            onError: (refused) => (errors.value = refused),
        },
    );
}
</script>

<template>
    <section aria-label="Your account">
        <p v-if="!open">
            <template v-if="account">
                Sized for your account of {{ account.value.toLocaleString('en-GB') }} {{ account.currency }},
                {{ account.riskPercent }} % at the stop.
            </template>
            <Button
                :label="account ? 'Change' : 'Size the setups for your own account'"
                text
                size="small"
                severity="secondary"
                @click="begin"
            />
        </p>
        <form v-else @submit.prevent="keep">
            <label for="account-value">Account</label>
            <InputNumber v-model="value" input-id="account-value" size="small" :min="0" :input-style="{ width: '110px' }" />
            <span>QUD, at the stop</span>
            <InputNumber
                v-model="risk"
                input-id="account-risk"
                size="small"
                :min="0"
                :max-fraction-digits="2"
                :input-style="{ width: '64px' }"
                aria-label="Risk at the stop, percent"
            />
            <span>%</span>
            <Button label="Keep" type="submit" size="small" />
            <Button label="Cancel" text size="small" severity="secondary" @click="open = false" />
            <p v-for="fault in errors" :key="fault" class="error" role="alert">{{ fault }}</p>
        </form>
    </section>
</template>

<style scoped>
section {
    font-size: 13px;
    color: var(--ink-2);
}
form {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 8px;
    align-items: center;
}
.error {
    flex-basis: 100%;
    color: var(--stop);
}
</style>
