package goodbones.server.accounts;

import org.springframework.data.repository.CrudRepository;

interface AccountRepository extends CrudRepository<Account, String> {}
