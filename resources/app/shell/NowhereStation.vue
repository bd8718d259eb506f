<template>
  <main class="nowhere">
    <h1>{{ $t('shell.nowhereStation.thereIsNothingHere') }}</h1>
    <p>{{ $t('shell.nowhereStation.noFigureLiesUnderThis') }}</p>
    <p class="row">
      <v-btn to="/" color="primary" variant="flat">{{ $t('shell.nowhereStation.backToTheShelf') }}</v-btn><v-btn
        to="/bin"
        >{{ $t('shell.nowhereStation.lookInTheBin') }}</v-btn
      >
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
