<template>
  <BleedAdviceView />
</template>
