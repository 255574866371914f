<template>
  <BoltsAgain><BenchHead /></BoltsAgain>
</template>
