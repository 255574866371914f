<script setup lang="ts">
import { lastJob } from '../../device/last-job'

definePageMeta({
  middleware: () => {
    const jobId = lastJob()
    return navigateTo(jobId ? `/jobs/${jobId}/work` : '/', { replace: true })
  },
})
</script>

<template>
  <p role="status">On to the job that was open last</p>
</template>
