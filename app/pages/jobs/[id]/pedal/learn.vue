<template>
  <BleedLearnView />
</template>
