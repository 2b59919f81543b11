<template><h1>sequence</h1></template>
