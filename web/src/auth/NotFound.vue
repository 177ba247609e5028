<template>
  <main id="main" class="p-6">
    <h1 class="mb-2 text-3xl">There is no page here</h1>
    <RouterLink class="btn" to="/today">Back to Today</RouterLink>
  </main>
</template>
