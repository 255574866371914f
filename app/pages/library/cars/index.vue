<template>
  <LibraryRoom><HistoryRoom /></LibraryRoom>
</template>
