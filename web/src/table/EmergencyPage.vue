<script setup lang="ts">
import EmergencySteps from '../parts/EmergencySteps.vue'
</script>

<template>
  <main id="main" class="mx-auto max-w-3xl p-5">
    <h1 class="mb-3 text-3xl">Emergency</h1>
    <p class="mb-4">
      The child’s own care plan and the trained adult lead. These are the general first steps.
    </p>
    <EmergencySteps heading="h2" />
    <RouterLink class="btn" to="/today">Back</RouterLink>
  </main>
</template>
