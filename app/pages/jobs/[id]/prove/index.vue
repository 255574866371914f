<template>
  <ClosingView />
</template>
