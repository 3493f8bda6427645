# frozen_string_literal: true

require "securerandom"
require_relative "../boot/wiring"
require_relative "../boot/nightly"
require_relative "../boot/restore"
require_relative "../store/backup"
require_relative "../store/access"

# The owner's side of backup and restore: it steps over the wall, so it is no act and no route.
def owner(name)
  NutShelf::Boot::Wiring.prepare(name)
  db = Sequel.connect(NutShelf::Boot::Settings.foreign_url || NutShelf::Boot::Cluster.new.url(name))
  NutShelf::Store::Database.prepare(db)
end

# The household asked for, or the only one.
def text_of(db, id)
  ids = db[:households].order(:id).select_map(:id)
  household = id ? Integer(id, 10) : ids.first
  abort("There is no household here.") if ids.empty?
  abort("There are several households; say which: #{ids.join(", ")}") if id.nil? && ids.size > 1
  abort("There is no household #{id}.") unless ids.include?(household)
  NutShelf::Store::Backup.write(db, household)
end

def write(db, file, id)
  File.write(file, text_of(db, id), perm: 0o600)
  puts "Wrote #{File.size(file)} bytes to #{file}."
end

# One a day into a folder, so many kept.
def nightly(db, folder, keep)
  file = NutShelf::Boot::Nightly.new(folder, keep: Integer(keep || "14", 10)).write(text_of(db, nil), Date.today)
  puts "Wrote #{File.size(file)} bytes to #{file}, with its digest beside it."
end

# Passwords are in no backup: each member gets a link that works once.
def links(db, household)
  db[:memberships].join(:accounts, id: :account_id).where(household_id: household).order(:account_id).each do |row|
    token = SecureRandom.urlsafe_base64(24)
    db[:invitations].insert(
      household_id: household,
      account_id: row[:account_id],
      for_account_id: row[:account_id],
      name: row[:name],
      role: row[:role],
      token_hash: NutShelf::Store::Access.hash(token)
    )
    puts "  #{row[:name]} (#{row[:email]}): /join##{token}"
  end
end

def restore(db, file)
  text = File.read(file, encoding: "UTF-8")
  household = NutShelf::Boot::Restore.call(db, text)
  same = NutShelf::Store::Backup.write(db, household) == text
  puts "Restored household #{household}; written out again it is " \
       "#{same ? "the same, byte for byte" : "not the same: some dates were set by newer rules"}."
  puts "Everybody chooses a new password once, by these links (good for 14 days):"
  links(db, household)
end

demo = ARGV.delete("--demo")
into, keep = %w[--into --keep].map { |name| (at = ARGV.index(name)) && ARGV.slice!(at, 2).last }
command, file, id = ARGV
begin
  db = owner(demo ? "nut_shelf_demo" : "nut_shelf_house")
  next_step = into ? -> { nightly(db, into, keep) } : lambda {
    command == "write" ? write(db, file, id) : restore(db, file)
  }
  next_step.call
rescue NutShelf::Store::Error, ArgumentError, Errno::ENOENT, Errno::EACCES => e
  abort(e.message)
end
