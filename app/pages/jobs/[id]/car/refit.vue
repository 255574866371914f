<template>
  <RefitView />
</template>
