<template>
  <LibraryRoom><LearnedRoom /></LibraryRoom>
</template>
