<template>
  <CauseView />
</template>
