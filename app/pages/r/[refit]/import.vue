<template><h1>import</h1></template>
