<template>
  <AsideView />
</template>
