<script setup lang="ts">
import { Head, useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Password from 'primevue/password';

const form = useForm({ email: '', password: '' });
</script>

<template>
    <Head title="Sign in" />
    <main class="gate">
        <svg class="chart-rose" viewBox="0 0 320 320" aria-hidden="true">
            <g fill="none" stroke="currentColor">
                <circle cx="160" cy="160" r="150" stroke-width="0.6" />
                <circle cx="160" cy="160" r="138" stroke-width="0.4" />
                <path
                    v-for="n in 72"
                    :key="n"
                    :d="`M160,${(n - 1) % 6 === 0 ? 24 : 16}V10`"
                    :transform="`rotate(${(n - 1) * 5} 160 160)`"
                    stroke-width="0.6"
                />
                <path d="M160 30V290M30 160H290M68 68 252 252M252 68 68 252" stroke-width="0.4" />
            </g>
        </svg>
        <form class="sheet" @submit.prevent="form.post('/sign-in', { onFinish: () => form.reset('password') })">
            <h1>Watchpost</h1>
            <p class="muted">Plans that are published, watched and scored on one set of numbers.</p>
            <label for="email">Address</label>
            <InputText
                id="email"
                v-model="form.email"
                type="email"
                autocomplete="username"
                autofocus
                :invalid="!!form.errors.email"
                fluid
            />
            <label for="password">Password</label>
            <Password
                v-model="form.password"
                input-id="password"
                :feedback="false"
                :input-props="{ autocomplete: 'current-password' }"
                :invalid="!!form.errors.password"
                fluid
                toggle-mask
            />
            <p v-if="form.errors.email || form.errors.password" class="error" role="alert">
                {{ form.errors.email ?? form.errors.password }}
            </p>
            <Button type="submit" label="Sign in" :loading="form.processing" fluid />
        </form>
    </main>
</template>

<style scoped>
.gate {
    position: relative;
    display: grid;
    place-items: center;
    min-height: 100vh;
    padding: 16px;
    overflow: hidden;
}
.chart-rose {
    position: absolute;
    width: min(90vh, 720px);
    color: var(--hair-2);
}
.sheet {
    position: relative;
    display: flex;
    flex-direction: column;
    gap: 8px;
    width: min(340px, 100%);
    padding: 24px;
    border: 1px solid var(--hair-2);
    background: var(--sheet);
}
h1 {
    font: 600 26px/32px var(--serif);
}
label {
    margin-top: 4px;
    font-weight: 600;
}
.error {
    color: var(--stop);
}
button[type='submit'] {
    margin-top: 8px;
}
</style>
