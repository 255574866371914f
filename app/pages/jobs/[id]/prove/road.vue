<template>
  <RoadTestView />
</template>
