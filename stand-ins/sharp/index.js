throw new Error('Pictures are served as they are: no image library ships with Vow Step.');
