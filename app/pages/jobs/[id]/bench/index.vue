<template>
  <BenchIndex />
</template>
