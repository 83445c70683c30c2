<script setup lang="ts">
import { Link, useForm, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Gate from '@/components/Gate.vue';

const page = usePage();
const form = useForm({ email: '' });
</script>

<template>
    <Gate title="Password forgotten">
        <form class="sheet" @submit.prevent="form.post('/password')">
            <h1>Password forgotten</h1>
            <p v-if="page.props.notice" role="status">{{ page.props.notice }}</p>
            <template v-else>
                <p class="muted">A mail will bring you the way to a new one. It is open for an hour.</p>
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
                <p v-if="form.errors.email" class="error" role="alert">{{ form.errors.email }}</p>
                <Button type="submit" label="Send me the mail" :loading="form.processing" fluid />
            </template>
            <p class="muted"><Link href="/sign-in">Back to signing in</Link></p>
        </form>
    </Gate>
</template>
