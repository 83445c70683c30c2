<script setup lang="ts">
import { useForm } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Gate from '@/components/Gate.vue';

const props = defineProps<{ token: string; email: string; isFirst: boolean }>();

const form = useForm({ email: props.email, password: '', password_confirmation: '' });

function keep(): void {
    form.post(`/${props.isFirst ? 'invitations' : 'password'}/${props.token}`, {
        onError: () => form.reset('password', 'password_confirmation'),
    });
}
</script>

<template>
    <Gate :title="isFirst ? 'Your invitation' : 'A new password'">
        <form class="sheet" @submit.prevent="keep">
            <h1>{{ isFirst ? 'Welcome' : 'A new password' }}</h1>
            <p class="muted">
                {{ isFirst ? 'Set a password, and you are in.' : 'Whoever is signed in with the old one is signed out.' }}
            </p>
            <label for="email">Address</label>
            <InputText id="email" v-model="form.email" type="email" autocomplete="username" readonly fluid />
            <label for="password">Password, at least eight characters</label>
            <InputText
                id="password"
                v-model="form.password"
                type="password"
                autocomplete="new-password"
                :invalid="!!form.errors.password"
                fluid
            />
            <label for="again">Once more</label>
            <InputText id="again" v-model="form.password_confirmation" type="password" autocomplete="new-password" fluid />
            <p v-if="form.errors.password || form.errors.email" class="error" role="alert">
                {{ form.errors.password ?? form.errors.email }}
            </p>
            <Button type="submit" label="Set the password" :loading="form.processing" fluid />
        </form>
    </Gate>
</template>
