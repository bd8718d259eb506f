<template>
  <main class="nowhere">
    <h1>There is nothing here</h1>
    <p>No figure lies under this number. It may be in the bin, or thrown away for good.</p>
    <p class="row">
      <v-btn to="/" color="primary" variant="flat">Back to the shelf</v-btn><v-btn to="/bin">Look in the bin</v-btn>
    </p>
  </main>
</template>

<style scoped>
.nowhere {
  max-width: 36rem;
  margin: 14vh auto;
  padding: 0 1.5rem;
  display: grid;
  gap: 1rem;
}
</style>
