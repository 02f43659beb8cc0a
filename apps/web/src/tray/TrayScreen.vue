<template><main /></template>
