<script setup lang="ts"></script>
<template><p>…</p></template>
