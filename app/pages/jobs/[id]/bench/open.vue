<template>
  <OpenView><BenchHead /></OpenView>
</template>
