<template><h1>log</h1></template>
