<template>
  <ApartView />
</template>
