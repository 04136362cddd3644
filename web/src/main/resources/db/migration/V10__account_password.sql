-- When the password was last changed; the history keeps the moments, never the passwords.
alter table account add column password_changed_at datetime(6);
