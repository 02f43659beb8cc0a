<template>
  <main class="nowhere">
    <h1>No such page.</h1>
    <p>The address is mistyped, or what it names is gone. <RouterLink to="/">Go to the queue</RouterLink></p>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 40px 20px;
  display: grid;
  gap: 12px;
}
</style>
