<template>
  <PapersView />
</template>
