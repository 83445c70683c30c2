<script setup lang="ts">
import { Link, useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Password from 'primevue/password';
import Gate from '@/components/Gate.vue';

const form = useForm({ email: '', password: '' });
</script>

<template>
    <Gate title="Sign in">
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
            <p class="muted"><Link href="/password">Password forgotten?</Link> <Link href="/editions">Read as a visitor</Link></p>
        </form>
    </Gate>
</template>
