<template>
  <BreakInView />
</template>
