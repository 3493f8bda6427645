# frozen_string_literal: true

# Whatever registry this machine's RubyGems is set to; the versions are pinned in gems.lock.
source(Gem.sources.first.then { |place| place.respond_to?(:uri) ? place.uri.to_s : place.to_s })

gem "arabic-letter-connector", "~> 0.1"
gem "argon2", "~> 2.3"
gem "icalendar", "~> 2.11"
gem "json_schemer", "~> 2.4"
gem "nokogiri", "~> 1.18"
gem "pg", "~> 1.5"
gem "prawn", "~> 2.5"
gem "puma", "~> 8.0"
gem "rack-attack", "~> 6.7"
gem "rodauth", "~> 2.39"
gem "rqrcode_core", "~> 2.0"
gem "sequel", "~> 5.90"
gem "sequel_pg", "~> 1.17"
gem "sinatra", "~> 4.1"
gem "tzinfo", "~> 2.0"

group :development, :test do
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.17"
  gem "prop_check", "~> 1.0"
  gem "rack-test", "~> 2.1"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.75"
end
