<template>
  <PartsView><BenchHead /></PartsView>
</template>
