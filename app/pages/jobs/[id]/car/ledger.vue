<template>
  <LedgerView />
</template>
