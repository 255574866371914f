<template>
  <AgainstEstimate />
</template>
