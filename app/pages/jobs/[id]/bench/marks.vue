<template>
  <MarksView><BenchHead /></MarksView>
</template>
